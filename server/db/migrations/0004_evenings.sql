CREATE TABLE `kept_lists` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`query` text NOT NULL,
	`by_whom` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `kept_lists_name_unique` ON `kept_lists` (`name`);--> statement-breakpoint
CREATE TABLE `sessions` (
	`uid` text PRIMARY KEY NOT NULL,
	`person_id` integer NOT NULL,
	`browser` text NOT NULL,
	`opened_at` text NOT NULL,
	`seen_at` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sessions_person` ON `sessions` (`person_id`);--> statement-breakpoint
CREATE TABLE `evening_jobs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`day` text NOT NULL,
	`code` text NOT NULL,
	`kind` text NOT NULL,
	`stage` text NOT NULL,
	`says` text NOT NULL,
	`why` text DEFAULT '' NOT NULL,
	`skill` text,
	`pair` integer DEFAULT false NOT NULL,
	`because` text DEFAULT '[]' NOT NULL,
	`hands` text NOT NULL,
	`guess_minutes` integer NOT NULL,
	`basis` text DEFAULT '' NOT NULL,
	`starts_at` text,
	`state` text NOT NULL,
	`started_at` text,
	`ended_at` text,
	`taken_minutes` integer DEFAULT 0 NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`noted_by` text DEFAULT '' NOT NULL,
	`noted_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `evening_jobs_machine` ON `evening_jobs` (`machine_id`,`ended_at`);--> statement-breakpoint
CREATE INDEX `evening_jobs_day` ON `evening_jobs` (`day`);--> statement-breakpoint
CREATE INDEX `evening_jobs_state` ON `evening_jobs` (`state`,`id`);--> statement-breakpoint
CREATE TABLE `evening_letters` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`day` text NOT NULL,
	`subject` text NOT NULL,
	`lines` text NOT NULL,
	`to_address` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by_whom` text NOT NULL,
	`sent_at` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `evening_letters_uid_unique` ON `evening_letters` (`uid`);--> statement-breakpoint
CREATE INDEX `evening_letters_day` ON `evening_letters` (`day`);--> statement-breakpoint
CREATE TABLE `evening_people` (
	`day` text NOT NULL,
	`person_id` integer NOT NULL,
	`since` text NOT NULL,
	`until` text NOT NULL,
	`left_at` text,
	PRIMARY KEY(`day`, `person_id`)
);
--> statement-breakpoint
CREATE TABLE `evenings` (
	`day` text PRIMARY KEY NOT NULL,
	`dealt_at` text NOT NULL,
	`left_over` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `journal_at` ON `journal` (`at`);--> statement-breakpoint
CREATE INDEX `journal_person` ON `journal` (`person_id`,`machine_id`);--> statement-breakpoint
DELETE FROM `machine_summaries`;
