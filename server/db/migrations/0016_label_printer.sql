CREATE TABLE `print_jobs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`tag` text NOT NULL,
	`origin` text NOT NULL,
	`state` text DEFAULT 'waiting' NOT NULL,
	`says` text DEFAULT '' NOT NULL,
	`printer_job` integer,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `print_jobs_state` ON `print_jobs` (`state`);--> statement-breakpoint
CREATE TABLE `printers` (
	`id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`uri` text DEFAULT '' NOT NULL
);
