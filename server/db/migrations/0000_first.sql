CREATE TABLE `people` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`sign_in_name` text NOT NULL,
	`password_hash` text NOT NULL,
	`role` text NOT NULL,
	`active` integer DEFAULT true NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `people_uid_unique` ON `people` (`uid`);--> statement-breakpoint
CREATE UNIQUE INDEX `people_sign_in_name_unique` ON `people` (`sign_in_name`);--> statement-breakpoint
CREATE TABLE `practice` (
	`id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`school` text NOT NULL,
	`numbering` text NOT NULL,
	`zone` text NOT NULL,
	CONSTRAINT "one_row" CHECK("practice"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE `journal` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`chain` text NOT NULL,
	`seq` integer NOT NULL,
	`machine_id` integer,
	`kind` text NOT NULL,
	`at` text NOT NULL,
	`person_id` integer,
	`by` text NOT NULL,
	`data` text NOT NULL,
	`subject` text,
	`subject_id` integer,
	`strikes` integer,
	`previous_hash` text NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `journal_machine` ON `journal` (`machine_id`);--> statement-breakpoint
CREATE UNIQUE INDEX `journal_chain_seq_unique` ON `journal` (`chain`,`seq`);--> statement-breakpoint
CREATE TABLE `journal_heads` (
	`chain` text PRIMARY KEY NOT NULL,
	`seq` integer NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `accessories` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`name` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `accessories_machine` ON `accessories` (`machine_id`);--> statement-breakpoint
CREATE TABLE `assemblies` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`presence` text DEFAULT 'not-looked' NOT NULL,
	`grade` integer,
	`note` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `assemblies_machine` ON `assemblies` (`machine_id`);--> statement-breakpoint
CREATE TABLE `claims` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`says` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `claims_machine` ON `claims` (`machine_id`);--> statement-breakpoint
CREATE TABLE `cleanings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`with_what` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cleanings_machine` ON `cleanings` (`machine_id`);--> statement-breakpoint
CREATE TABLE `damages` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`assembly_id` integer,
	`kind` text NOT NULL,
	`place` text NOT NULL,
	`extent` text DEFAULT '' NOT NULL,
	`severity` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assembly_id`) REFERENCES `assemblies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `damages_machine` ON `damages` (`machine_id`);--> statement-breakpoint
CREATE TABLE `date_codes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`part` text DEFAULT '' NOT NULL,
	`code` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `date_codes_machine` ON `date_codes` (`machine_id`);--> statement-breakpoint
CREATE TABLE `faults` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`symptom` text NOT NULL,
	`first_seen` text DEFAULT '' NOT NULL,
	`stops_machine` integer NOT NULL,
	`open` integer DEFAULT true NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `faults_machine` ON `faults` (`machine_id`);--> statement-breakpoint
CREATE TABLE `machines` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`tag` text NOT NULL,
	`model_id` integer,
	`name` text NOT NULL,
	`maker` text DEFAULT '' NOT NULL,
	`nickname` text DEFAULT '' NOT NULL,
	`serial` text DEFAULT '' NOT NULL,
	`weight_kg` real,
	`place` text DEFAULT '' NOT NULL,
	`acquired` text NOT NULL,
	`from_whom` text DEFAULT '' NOT NULL,
	`owner` text DEFAULT '' NOT NULL,
	`last_powered` text DEFAULT '' NOT NULL,
	`last_powered_by` text DEFAULT '' NOT NULL,
	`last_powered_what` text DEFAULT '' NOT NULL,
	`booked_in_at` text NOT NULL,
	`stage` text DEFAULT 'arrive' NOT NULL,
	`on_bench` integer DEFAULT true NOT NULL,
	`own_rails` text,
	`life` text,
	`passport_token` text,
	`passport_on` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`model_id`) REFERENCES `models`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `machines_uid_unique` ON `machines` (`uid`);--> statement-breakpoint
CREATE UNIQUE INDEX `machines_tag_unique` ON `machines` (`tag`);--> statement-breakpoint
CREATE UNIQUE INDEX `machines_passport_token_unique` ON `machines` (`passport_token`);--> statement-breakpoint
CREATE TABLE `observations` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fault_id` integer NOT NULL,
	`says` text NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`fault_id`) REFERENCES `faults`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `observations_fault` ON `observations` (`fault_id`);--> statement-breakpoint
CREATE TABLE `part_needs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`quantity` integer NOT NULL,
	`stops_start` integer NOT NULL,
	`outcome` text DEFAULT 'wanted' NOT NULL,
	`wanted_at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `part_needs_machine` ON `part_needs` (`machine_id`);--> statement-breakpoint
CREATE TABLE `power_assessments` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`facts` text NOT NULL,
	`inspected_by` text DEFAULT '' NOT NULL,
	`battery_has_leaked` integer DEFAULT false NOT NULL,
	`school` text,
	`overrule_verdict` text,
	`overrule_reason` text DEFAULT '' NOT NULL,
	`overruled_by` text DEFAULT '' NOT NULL,
	`overrule_basis` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `questions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`question` text NOT NULL,
	`answer` text DEFAULT '' NOT NULL,
	`settled_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `questions_machine` ON `questions` (`machine_id`);--> statement-breakpoint
CREATE TABLE `readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`rail` text NOT NULL,
	`value_v` real NOT NULL,
	`load` text NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `readings_machine` ON `readings` (`machine_id`);--> statement-breakpoint
CREATE TABLE `repairs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fault_id` integer NOT NULL,
	`did` text NOT NULL,
	`closes` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`fault_id`) REFERENCES `faults`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `repairs_fault` ON `repairs` (`fault_id`);--> statement-breakpoint
CREATE TABLE `sign_offs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`statement` text NOT NULL,
	`by_whom` text NOT NULL,
	`at` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sign_offs_machine` ON `sign_offs` (`machine_id`);--> statement-breakpoint
CREATE TABLE `waits` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`started_at` text NOT NULL,
	`until` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `waits_machine` ON `waits` (`machine_id`);--> statement-breakpoint
CREATE TABLE `models` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`maker` text DEFAULT '' NOT NULL,
	`name` text NOT NULL,
	`about` text DEFAULT '' NOT NULL,
	`assemblies` text NOT NULL,
	`rails` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `models_uid_unique` ON `models` (`uid`);--> statement-breakpoint
CREATE UNIQUE INDEX `models_maker_name_unique` ON `models` (`maker`,`name`);