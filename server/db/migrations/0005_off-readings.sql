CREATE TABLE `off_readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`rail` text NOT NULL,
	`reading` text NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `off_readings_machine` ON `off_readings` (`machine_id`);