CREATE TABLE `held_parts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`kind` text,
	`spec` text DEFAULT '{}' NOT NULL,
	`count` integer NOT NULL,
	`at` text NOT NULL,
	`condition` text NOT NULL,
	`machine_id` integer,
	`need_id` integer,
	`holder` text DEFAULT '' NOT NULL,
	`due_by` text,
	`lies` text DEFAULT '' NOT NULL,
	`source` text DEFAULT '' NOT NULL,
	`unit_price` real,
	`date_code` text DEFAULT '' NOT NULL,
	`lender` text DEFAULT '' NOT NULL,
	`back_by` text,
	`note` text DEFAULT '' NOT NULL,
	`trail` text DEFAULT '[]' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`need_id`) REFERENCES `part_needs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `held_parts_uid_unique` ON `held_parts` (`uid`);--> statement-breakpoint
CREATE INDEX `held_parts_machine` ON `held_parts` (`machine_id`);--> statement-breakpoint
CREATE INDEX `held_parts_at` ON `held_parts` (`at`,`name`);--> statement-breakpoint
CREATE INDEX `held_parts_need` ON `held_parts` (`need_id`);--> statement-breakpoint
CREATE INDEX `held_parts_name` ON `held_parts` ("name" collate nocase);--> statement-breakpoint
ALTER TABLE `part_needs` ADD `kind` text;--> statement-breakpoint
ALTER TABLE `part_needs` ADD `spec` text DEFAULT '{}' NOT NULL;