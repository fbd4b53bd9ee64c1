CREATE TABLE `board_strikes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`board_id` integer NOT NULL,
	`pin` text NOT NULL,
	`reason` text NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `board_strikes_board` ON `board_strikes` (`board_id`);--> statement-breakpoint
CREATE TABLE `boards` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`model_id` integer NOT NULL,
	`name` text NOT NULL,
	`issue` text DEFAULT '' NOT NULL,
	`file_name` text DEFAULT '' NOT NULL,
	`format` text DEFAULT '' NOT NULL,
	`rows` text NOT NULL,
	`nets` integer NOT NULL,
	`pins` integer NOT NULL,
	`active` integer DEFAULT true NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `boards_uid_unique` ON `boards` (`uid`);--> statement-breakpoint
CREATE INDEX `boards_model` ON `boards` (`model_id`);--> statement-breakpoint
CREATE TABLE `patches` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`sheet_id` integer NOT NULL,
	`net` text NOT NULL,
	`a` text NOT NULL,
	`b` text NOT NULL,
	`length_mm` real NOT NULL,
	`awg` integer NOT NULL,
	`after_ohm` real,
	`contact` text NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `patches_machine` ON `patches` (`machine_id`);--> statement-breakpoint
CREATE TABLE `probe_checks` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`sheet_id` integer NOT NULL,
	`kind` text NOT NULL,
	`a` text NOT NULL,
	`b` text NOT NULL,
	`net_a` text NOT NULL,
	`net_b` text NOT NULL,
	`expect_ohm` real,
	`beyond` integer DEFAULT false NOT NULL,
	`why` text DEFAULT '' NOT NULL,
	`taken_by` integer,
	`taken_at` text,
	`contact` text,
	`ohm` real,
	`by` text DEFAULT '' NOT NULL,
	`at` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE INDEX `probe_checks_sheet` ON `probe_checks` (`sheet_id`,`contact`);--> statement-breakpoint
CREATE TABLE `probe_nets` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`sheet_id` integer NOT NULL,
	`net` text NOT NULL,
	`supply` integer NOT NULL,
	`ends` text NOT NULL,
	`state` text DEFAULT 'not-yet' NOT NULL,
	`pieces` text DEFAULT '[]' NOT NULL,
	`breaks` text DEFAULT '[]' NOT NULL
);
--> statement-breakpoint
CREATE INDEX `probe_nets_sheet` ON `probe_nets` (`sheet_id`,`net`);--> statement-breakpoint
CREATE TABLE `probe_sheets` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`board_id` integer NOT NULL,
	`board` text NOT NULL,
	`issue` text DEFAULT '' NOT NULL,
	`other_issue` integer DEFAULT false NOT NULL,
	`title` text NOT NULL,
	`leads_ohm` real NOT NULL,
	`total` integer NOT NULL,
	`answered` integer DEFAULT 0 NOT NULL,
	`broken` text DEFAULT '[]' NOT NULL,
	`doubtful` text DEFAULT '[]' NOT NULL,
	`shorts` text DEFAULT '[]' NOT NULL,
	`started_at` text NOT NULL,
	`ended_at` text,
	`note` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `probe_sheets_machine` ON `probe_sheets` (`machine_id`);