CREATE TABLE `model_codes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`model_id` integer NOT NULL,
	`code` text NOT NULL,
	`says` text NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `model_codes_model` ON `model_codes` (`model_id`);