CREATE TABLE `cleaning_parts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`materials` text NOT NULL,
	`soils` text NOT NULL,
	`works` text NOT NULL,
	`socketed` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cleaning_parts_machine` ON `cleaning_parts` (`machine_id`);--> statement-breakpoint
CREATE TABLE `cleaning_schools` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`boards` text,
	`plastic` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `cleaning_steps` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`part` text NOT NULL,
	`kind` text NOT NULL,
	`method` text,
	`says` text NOT NULL,
	`why` text DEFAULT '' NOT NULL,
	`minutes` integer NOT NULL,
	`cautions` text NOT NULL,
	`wait_what` text DEFAULT '' NOT NULL,
	`wait_hours` real,
	`person_id` integer,
	`state` text DEFAULT 'open' NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`done_by` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cleaning_steps_machine` ON `cleaning_steps` (`machine_id`);--> statement-breakpoint
CREATE TABLE `contaminations` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`kind` text NOT NULL,
	`where` text NOT NULL,
	`says` text DEFAULT '' NOT NULL,
	`state` text DEFAULT 'present' NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `contaminations_machine` ON `contaminations` (`machine_id`);--> statement-breakpoint
CREATE TABLE `dryings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`error_g` real NOT NULL,
	`left_g` real NOT NULL,
	`started_at` text NOT NULL,
	`ended_at` text,
	`ended_wet` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `dryings_machine` ON `dryings` (`machine_id`);--> statement-breakpoint
CREATE TABLE `weighings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`drying_id` integer NOT NULL,
	`mass_g` real NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `weighings_machine` ON `weighings` (`machine_id`);--> statement-breakpoint
CREATE TABLE `whitening_colours` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`whitening_id` integer NOT NULL,
	`l` real NOT NULL,
	`a` real NOT NULL,
	`b` real NOT NULL,
	`error` real NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `whitening_colours_machine` ON `whitening_colours` (`machine_id`);--> statement-breakpoint
CREATE TABLE `whitening_exposures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`whitening_id` integer NOT NULL,
	`how` text NOT NULL,
	`hours` real NOT NULL,
	`strength_pct` real,
	`temperature_c` real,
	`turned` integer DEFAULT false NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `whitening_exposures_machine` ON `whitening_exposures` (`machine_id`);--> statement-breakpoint
CREATE TABLE `whitenings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`name` text NOT NULL,
	`plastic` text DEFAULT '' NOT NULL,
	`goal_b` real NOT NULL,
	`reference` text NOT NULL,
	`tau_hours` real,
	`ended_at` text,
	`outcome` text DEFAULT '' NOT NULL,
	`relook_on` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `whitenings_machine` ON `whitenings` (`machine_id`);--> statement-breakpoint
CREATE INDEX `whitenings_plastic` ON `whitenings` (`plastic`);--> statement-breakpoint
ALTER TABLE `practice` ADD `board_school` text DEFAULT 'spot' NOT NULL;--> statement-breakpoint
ALTER TABLE `practice` ADD `plastic_school` text DEFAULT 'leave' NOT NULL;