ALTER TABLE `model_bench_maps` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `print_jobs` ADD `sent_at` text;--> statement-breakpoint
ALTER TABLE `model_proofs` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `commands_done` ADD `asked` text;
--> statement-breakpoint
ALTER TABLE `machines` ADD `passport_diary` integer DEFAULT false NOT NULL;
--> statement-breakpoint
CREATE TABLE `sayings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`entry_id` integer NOT NULL,
	`kind` text NOT NULL,
	`sentence` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	`state` text DEFAULT 'open' NOT NULL,
	`found` text DEFAULT '' NOT NULL,
	`found_by` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sayings_machine` ON `sayings` (`machine_id`);--> statement-breakpoint
CREATE INDEX `sayings_entry` ON `sayings` (`entry_id`);--> statement-breakpoint
ALTER TABLE `faults` ADD `reported_at` text DEFAULT '' NOT NULL;
--> statement-breakpoint
ALTER TABLE `machine_summaries` ADD `closed_by` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
-- What keeps each gate closed is known once it has been settled anew.
DELETE FROM `machine_summaries`;
--> statement-breakpoint
ALTER TABLE `readings` ADD `kept_off` integer DEFAULT false NOT NULL;
--> statement-breakpoint
CREATE TABLE `consent_exceptions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`work` text NOT NULL,
	`reason` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `consent_exceptions_machine` ON `consent_exceptions` (`machine_id`);
