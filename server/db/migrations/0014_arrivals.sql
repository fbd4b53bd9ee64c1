ALTER TABLE `exchanges` ADD `known` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `exchanges` ADD `looked_at` text;