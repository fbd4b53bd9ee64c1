CREATE TABLE `appraisals` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`significance` text NOT NULL,
	`hours_low` real NOT NULL,
	`hours_high` real NOT NULL,
	`cost_low` real NOT NULL,
	`cost_high` real NOT NULL,
	`irreplaceable` text NOT NULL,
	`path` text,
	`path_reason` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `checks_done` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`code` text NOT NULL,
	`outcome` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `checks_done_machine` ON `checks_done` (`machine_id`);--> statement-breakpoint
CREATE TABLE `consents` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`allowed` text NOT NULL,
	`up_to` real NOT NULL,
	`must_ask` text DEFAULT '' NOT NULL,
	`agreed_with` text NOT NULL,
	`agreed_on` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `corrosions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`photograph_id` integer NOT NULL,
	`what` text NOT NULL,
	`inputs` text NOT NULL,
	`steel` integer NOT NULL,
	`area_pct` real NOT NULL,
	`error_pct` real NOT NULL,
	`at` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`photograph_id`) REFERENCES `photographs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `corrosions_machine` ON `corrosions` (`machine_id`);--> statement-breakpoint
CREATE TABLE `files` (
	`hash` text PRIMARY KEY NOT NULL,
	`mime` text NOT NULL,
	`bytes` integer NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`taken_at` text DEFAULT '' NOT NULL,
	`kept_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `interventions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`kind` text NOT NULL,
	`assembly_id` integer,
	`place` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`state` text NOT NULL,
	`photograph_id` integer,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assembly_id`) REFERENCES `assemblies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`photograph_id`) REFERENCES `photographs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `interventions_machine` ON `interventions` (`machine_id`);--> statement-breakpoint
CREATE TABLE `letters` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`machine_id` integer NOT NULL,
	`letter` text NOT NULL,
	`photograph_ids` text NOT NULL,
	`to_address` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by_whom` text NOT NULL,
	`sent_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `letters_uid_unique` ON `letters` (`uid`);--> statement-breakpoint
CREATE INDEX `letters_machine` ON `letters` (`machine_id`);--> statement-breakpoint
CREATE TABLE `opening_steps` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`step` integer NOT NULL,
	`what` text NOT NULL,
	`state` text NOT NULL,
	`fixings` text NOT NULL,
	`connectors` text NOT NULL,
	`hides` text DEFAULT '' NOT NULL,
	`hazard` text DEFAULT '' NOT NULL,
	`photograph_id` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`photograph_id`) REFERENCES `photographs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `opening_steps_machine` ON `opening_steps` (`machine_id`);--> statement-breakpoint
CREATE TABLE `photographs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`hash` text NOT NULL,
	`name` text NOT NULL,
	`assembly_id` integer,
	`caption` text DEFAULT '' NOT NULL,
	`scale` text,
	`at` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`hash`) REFERENCES `files`(`hash`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assembly_id`) REFERENCES `assemblies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `photographs_uid_unique` ON `photographs` (`uid`);--> statement-breakpoint
CREATE INDEX `photographs_machine` ON `photographs` (`machine_id`);--> statement-breakpoint
CREATE TABLE `spendings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`amount` real NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `spendings_machine` ON `spendings` (`machine_id`);--> statement-breakpoint
ALTER TABLE `practice` ADD `currency` text DEFAULT 'EUR' NOT NULL;--> statement-breakpoint
ALTER TABLE `damages` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `damages` ADD `photograph_id` integer;--> statement-breakpoint
ALTER TABLE `damages` ADD `mark` text;--> statement-breakpoint
ALTER TABLE `machines` ADD `variant` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `models` ADD `variants` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `models` ADD `known_faults` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `models` ADD `weight_kg` real;--> statement-breakpoint
ALTER TABLE `models` ADD `made_from` integer;--> statement-breakpoint
ALTER TABLE `models` ADD `made_to` integer;