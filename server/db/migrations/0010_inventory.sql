CREATE TABLE `inventory_lines` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`assembly` text NOT NULL,
	`place` text NOT NULL,
	`count` integer NOT NULL,
	`marking` text DEFAULT '' NOT NULL,
	`organisation` text DEFAULT '' NOT NULL,
	`mounting` text DEFAULT 'not-known' NOT NULL,
	`need` text DEFAULT 'not-known' NOT NULL,
	`label` text DEFAULT '' NOT NULL,
	`date_code` text DEFAULT '' NOT NULL,
	`unused` integer DEFAULT false NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`looked` integer DEFAULT true NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `inventory_lines_place` ON `inventory_lines` (`machine_id`,`assembly`,`place`);--> statement-breakpoint
ALTER TABLE `models` ADD `wear_parts` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `models` ADD `memory_sizes` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `models` ADD `sockets` text DEFAULT '[]' NOT NULL;