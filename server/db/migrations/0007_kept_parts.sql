CREATE TABLE `bare_coppers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`where` text NOT NULL,
	`at` text NOT NULL,
	`sealed_at` text,
	`sealed_with` text,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bare_coppers_machine` ON `bare_coppers` (`machine_id`);--> statement-breakpoint
CREATE TABLE `counted_parts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`what` text NOT NULL,
	`out` integer NOT NULL,
	`back` integer,
	`photograph_id` integer,
	`note` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `counted_parts_machine` ON `counted_parts` (`machine_id`);--> statement-breakpoint
CREATE TABLE `passport_pictures` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`before_id` integer,
	`after_id` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `damages` ADD `patina` text DEFAULT '' NOT NULL;