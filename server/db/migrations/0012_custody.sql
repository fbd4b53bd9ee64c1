CREATE TABLE `custodies` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`assembly_id` integer NOT NULL,
	`assembly` text NOT NULL,
	`holder` text NOT NULL,
	`what` text NOT NULL,
	`since` text NOT NULL,
	`back_by` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `custodies_machine` ON `custodies` (`machine_id`);--> statement-breakpoint
CREATE INDEX `custodies_due` ON `custodies` (`ended_at`,`back_by`);