CREATE TABLE `bookings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`thing_id` integer NOT NULL,
	`kind` text NOT NULL,
	`what` text NOT NULL,
	`from` text NOT NULL,
	`until` text NOT NULL,
	`room_l` real NOT NULL,
	`min_c` real,
	`max_c` real,
	`bath` text DEFAULT '' NOT NULL,
	`by` text DEFAULT '' NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bookings_machine` ON `bookings` (`machine_id`);--> statement-breakpoint
CREATE INDEX `bookings_thing` ON `bookings` (`thing_id`,`ended_at`,`from`);--> statement-breakpoint
CREATE TABLE `shared_things` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`place` text DEFAULT '' NOT NULL,
	`room_l` real NOT NULL,
	`min_c` real,
	`max_c` real,
	`limits` text DEFAULT '' NOT NULL,
	`active` integer DEFAULT true NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `shared_things_uid_unique` ON `shared_things` (`uid`);--> statement-breakpoint
CREATE TABLE `shelf_materials` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`unit` text NOT NULL,
	`amount` real NOT NULL,
	`strength_pct` real,
	`opened_on` text,
	`use_by` text,
	`low_at` real,
	`place` text DEFAULT '' NOT NULL,
	`wanted_since` text,
	`active` integer DEFAULT true NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `shelf_materials_uid_unique` ON `shelf_materials` (`uid`);