CREATE TABLE `kept_parts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`part` text NOT NULL,
	`bag` text NOT NULL,
	`why` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`ended` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `kept_parts_machine` ON `kept_parts` (`machine_id`);--> statement-breakpoint
CREATE TABLE `demonstrations` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`at` text NOT NULL,
	`minutes` integer NOT NULL,
	`says` text DEFAULT '' NOT NULL,
	`trouble` integer NOT NULL,
	`by` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `demonstrations_machine` ON `demonstrations` (`machine_id`);--> statement-breakpoint
CREATE TABLE `build_ups` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`steps` text NOT NULL,
	`looks` text DEFAULT '[]' NOT NULL,
	`started_at` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `build_ups_machine` ON `build_ups` (`machine_id`);--> statement-breakpoint
CREATE TABLE `model_proofs` (
	`model_id` integer PRIMARY KEY NOT NULL,
	`build_up` text DEFAULT '[]' NOT NULL,
	`test_lines` text DEFAULT '[]' NOT NULL
);
--> statement-breakpoint
CREATE TABLE `test_sheets` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`lines` text NOT NULL,
	`looks` text DEFAULT '[]' NOT NULL,
	`started_at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `test_sheets_machine` ON `test_sheets` (`machine_id`);--> statement-breakpoint
CREATE TABLE `bulletin_reads` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`uid` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bulletin_reads_machine` ON `bulletin_reads` (`machine_id`);--> statement-breakpoint
ALTER TABLE `repairs` ADD `by_id` integer;--> statement-breakpoint
ALTER TABLE `models` ADD `bulletins` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `sign_offs` ADD `limits` text;--> statement-breakpoint
ALTER TABLE `soaks` ADD `tallies` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `soaks` ADD `log_secret` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `soaks` ADD `log_person_id` integer;--> statement-breakpoint
CREATE INDEX `soaks_log` ON `soaks` (`log_secret`);--> statement-breakpoint
ALTER TABLE `machines` ADD `life_since` text;--> statement-breakpoint
UPDATE machines SET life_since = (SELECT max(journal.at) FROM journal WHERE journal.machine_id = machines.id AND journal.kind = 'life.chosen') WHERE life IS NOT NULL;
