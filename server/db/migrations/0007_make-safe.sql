CREATE TABLE `supplies` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`place` text DEFAULT '' NOT NULL,
	`label` text NOT NULL,
	`active` integer DEFAULT true NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `supplies_uid_unique` ON `supplies` (`uid`);--> statement-breakpoint
CREATE TABLE `batteries` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`place` text NOT NULL,
	`chemistry` text NOT NULL,
	`cells` integer DEFAULT 1 NOT NULL,
	`year` integer,
	`state` text NOT NULL,
	`fitted` integer NOT NULL,
	`charging` text NOT NULL,
	`replacement` text,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `batteries_machine` ON `batteries` (`machine_id`);--> statement-breakpoint
CREATE TABLE `starts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`machine_id` integer NOT NULL,
	`plan` text NOT NULL,
	`configuration` text NOT NULL,
	`at_probe` text NOT NULL,
	`at_switch` text NOT NULL,
	`begun_at` text NOT NULL,
	`ended_at` text,
	`outcome` text,
	`why` text DEFAULT '' NOT NULL,
	`on_seconds` real DEFAULT 0 NOT NULL,
	`samples` text DEFAULT '[]' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `starts_uid_unique` ON `starts` (`uid`);--> statement-breakpoint
CREATE INDEX `starts_machine` ON `starts` (`machine_id`);--> statement-breakpoint
CREATE TABLE `temperatures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`part` text NOT NULL,
	`place` text DEFAULT '' NOT NULL,
	`samples` text NOT NULL,
	`at` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `temperatures_machine` ON `temperatures` (`machine_id`);--> statement-breakpoint
ALTER TABLE `people` ADD `skills` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `practice` ADD `battery_school` text DEFAULT 'remote-holder' NOT NULL;--> statement-breakpoint
ALTER TABLE `practice` ADD `meter_host` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `practice` ADD `meter_port` integer;--> statement-breakpoint
ALTER TABLE `machines` ADD `own_inlet` text;--> statement-breakpoint
ALTER TABLE `power_assessments` ADD `configuration` text DEFAULT '{"kind":"whole","out":[]}' NOT NULL;--> statement-breakpoint
ALTER TABLE `power_assessments` ADD `supply_id` integer;--> statement-breakpoint
ALTER TABLE `readings` ADD `configuration` text DEFAULT 'whole' NOT NULL;--> statement-breakpoint
ALTER TABLE `models` ADD `inlet` text;--> statement-breakpoint
ALTER TABLE `off_readings` ADD `configuration` text DEFAULT 'whole' NOT NULL;