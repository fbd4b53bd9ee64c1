ALTER TABLE `claims` ADD `kind` text;--> statement-breakpoint
ALTER TABLE `repairs` ADD `feeds_rails` integer;--> statement-breakpoint
ALTER TABLE `assemblies` ADD `role` text;--> statement-breakpoint
ALTER TABLE `soaks` ADD `log_words` text;--> statement-breakpoint
-- Waits that a test sheet started were told by the first words of their name.
UPDATE `waits` SET `kind` = 'test' WHERE `kind` IS NULL AND `what` LIKE 'Test sheet: %';
