ALTER TABLE `claims` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `claims` ADD `verdict` text DEFAULT 'open' NOT NULL;--> statement-breakpoint
ALTER TABLE `claims` ADD `because` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `models` ADD `usual_kit` text DEFAULT '[]' NOT NULL;