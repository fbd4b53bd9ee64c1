DROP INDEX `part_needs_wanted`;--> statement-breakpoint
CREATE INDEX `part_needs_wanted` ON `part_needs` (`outcome`,`wanted_at`);--> statement-breakpoint
ALTER TABLE `part_needs` DROP COLUMN `stops_start`;