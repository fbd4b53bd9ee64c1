CREATE TABLE `settings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`assembly` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`before` text DEFAULT '' NOT NULL,
	`before_reading` text DEFAULT '' NOT NULL,
	`photograph_id` integer,
	`now` text,
	`now_reading` text DEFAULT '' NOT NULL,
	`turns` real,
	`why` text DEFAULT '' NOT NULL,
	`changed_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `settings_name` ON `settings` (`machine_id`,`assembly`,`name`);