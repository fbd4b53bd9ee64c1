ALTER TABLE `date_codes` ADD `reworked` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `date_codes` ADD `socketed` integer DEFAULT false NOT NULL;