CREATE TABLE `lot_rows` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`lot_id` integer NOT NULL,
	`input` text NOT NULL,
	`tag` text,
	FOREIGN KEY (`lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lot_rows_lot` ON `lot_rows` (`lot_id`,`tag`);--> statement-breakpoint
CREATE TABLE `lots` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`total` integer NOT NULL,
	`person_id` integer NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL,
	`trouble` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `lots_uid_unique` ON `lots` (`uid`);--> statement-breakpoint
CREATE TABLE `commands_done` (
	`uid` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`person_id` integer NOT NULL,
	`at` text NOT NULL,
	`result` text
);
--> statement-breakpoint
CREATE INDEX `commands_done_at` ON `commands_done` (`at`);--> statement-breakpoint
CREATE TABLE `machine_summaries` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`tag` text NOT NULL,
	`name` text NOT NULL,
	`model_id` integer,
	`stage` text NOT NULL,
	`gate` text NOT NULL,
	`overruled` integer NOT NULL,
	`on_bench` integer NOT NULL,
	`signed_off` integer NOT NULL,
	`battery_leaked` integer NOT NULL,
	`harm_rank` integer NOT NULL,
	`has_move` integer NOT NULL,
	`due_at` text,
	`card` text NOT NULL,
	`search_hash` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `summaries_tag` ON `machine_summaries` (`tag`);--> statement-breakpoint
CREATE INDEX `summaries_gate` ON `machine_summaries` (`gate`,`tag`);--> statement-breakpoint
CREATE INDEX `summaries_stage` ON `machine_summaries` (`stage`,`tag`);--> statement-breakpoint
CREATE INDEX `summaries_bench` ON `machine_summaries` (`on_bench`,`harm_rank`,`tag`);--> statement-breakpoint
CREATE INDEX `summaries_moves` ON `machine_summaries` (`on_bench`,`has_move`,`harm_rank`,`tag`);--> statement-breakpoint
CREATE INDEX `summaries_harm` ON `machine_summaries` (`harm_rank`,`tag`);--> statement-breakpoint
CREATE INDEX `summaries_model` ON `machine_summaries` (`model_id`,`battery_leaked`,`signed_off`);--> statement-breakpoint
CREATE INDEX `summaries_name` ON `machine_summaries` (`name`);--> statement-breakpoint
CREATE INDEX `summaries_due` ON `machine_summaries` (`due_at`);--> statement-breakpoint
CREATE TABLE `settlings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`scope` text NOT NULL,
	`scope_id` integer,
	`cursor` integer DEFAULT 0 NOT NULL,
	`done` integer DEFAULT 0 NOT NULL,
	`total` integer NOT NULL,
	`person_id` integer NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `settlings_uid_unique` ON `settlings` (`uid`);--> statement-breakpoint
CREATE INDEX `journal_strikes` ON `journal` (`strikes`);--> statement-breakpoint
CREATE INDEX `machines_model` ON `machines` (`model_id`);--> statement-breakpoint
CREATE INDEX `machines_from_whom` ON `machines` (`from_whom`);--> statement-breakpoint
CREATE INDEX `part_needs_wanted` ON `part_needs` (`outcome`,`stops_start`,`wanted_at`);--> statement-breakpoint
CREATE INDEX `power_assessments_supply` ON `power_assessments` (`supply_id`);--> statement-breakpoint
CREATE INDEX `waits_open` ON `waits` (`ended_at`,`until`);--> statement-breakpoint
CREATE INDEX `starts_open` ON `starts` (`ended_at`);--> statement-breakpoint
UPDATE `waits` SET `until` = strftime('%Y-%m-%dT%H:%M:%fZ', `until`) WHERE length(`until`) <> 24;
