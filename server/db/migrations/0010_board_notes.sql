ALTER TABLE `boards` ADD `functions` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `boards` ADD `areas` text DEFAULT '[]' NOT NULL;