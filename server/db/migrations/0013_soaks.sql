CREATE TABLE `soaks` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`seen_failures` integer NOT NULL,
	`seen_passes` integer NOT NULL,
	`confidence` real NOT NULL,
	`seconds_a_pass` real,
	`passes` integer DEFAULT 0 NOT NULL,
	`failures` integer DEFAULT 0 NOT NULL,
	`started_at` text NOT NULL,
	`last_at` text DEFAULT '' NOT NULL,
	`ended_at` text,
	`note` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `soaks_machine` ON `soaks` (`machine_id`);