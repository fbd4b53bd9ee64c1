ALTER TABLE `part_needs` ADD `stops` text DEFAULT 'no-start' NOT NULL;--> statement-breakpoint
ALTER TABLE `part_needs` ADD `affects` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `part_needs` ADD `place` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `part_needs` ADD `workaround` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `part_needs` ADD `by_when` text;--> statement-breakpoint
ALTER TABLE `part_needs` ADD `seeker_id` integer;--> statement-breakpoint
ALTER TABLE `part_needs` ADD `seeker` text DEFAULT '' NOT NULL;--> statement-breakpoint
UPDATE `part_needs` SET `stops` = 'start' WHERE `stops_start`;