CREATE TABLE `exchanges` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`assembly` text NOT NULL,
	`came` integer NOT NULL,
	`other` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `exchanges_machine` ON `exchanges` (`machine_id`);