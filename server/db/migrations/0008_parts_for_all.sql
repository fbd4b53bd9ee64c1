CREATE TABLE `recap_schools` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`school` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `offers_in` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`need_id` integer,
	`held_id` integer,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`who` text NOT NULL,
	`reach` text DEFAULT '' NOT NULL,
	`says` text NOT NULL,
	`person_id` integer,
	`at` text NOT NULL,
	`taken_at` text
);
--> statement-breakpoint
CREATE INDEX `offers_in_taken` ON `offers_in` (`taken_at`);--> statement-breakpoint
CREATE TABLE `sought_board` (
	`id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`open` integer DEFAULT false NOT NULL,
	`greeting` text DEFAULT '' NOT NULL,
	CONSTRAINT "one_board" CHECK("sought_board"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE `wants_shown` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`shows` integer DEFAULT false NOT NULL,
	`says` text DEFAULT '' NOT NULL,
	`photograph_id` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `held_parts` ADD `keep_at_least` integer;--> statement-breakpoint
ALTER TABLE `held_parts` ADD `ordered_at` text;--> statement-breakpoint
ALTER TABLE `held_parts` ADD `arrived_at` text;--> statement-breakpoint
ALTER TABLE `held_parts` ADD `spared` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `part_needs` ADD `would_do` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `part_needs` ADD `for_first_start` text DEFAULT '' NOT NULL;