CREATE TABLE `capacitors` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`assembly` text NOT NULL,
	`place` text NOT NULL,
	`spec` text DEFAULT '{}' NOT NULL,
	`fixing` text DEFAULT 'none' NOT NULL,
	`stressed` integer DEFAULT false NOT NULL,
	`looks_bad` integer DEFAULT false NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`plus` text DEFAULT '' NOT NULL,
	`bagged` integer DEFAULT false NOT NULL,
	`photograph_id` integer,
	`measured` text,
	`state` text DEFAULT 'in' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `capacitors_place` ON `capacitors` (`machine_id`,`assembly`,`place`);--> statement-breakpoint
CREATE INDEX `capacitors_state` ON `capacitors` (`state`);--> statement-breakpoint
CREATE TABLE `prices` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`supplier` text NOT NULL,
	`postage` real,
	`name` text NOT NULL,
	`spec` text DEFAULT '{}' NOT NULL,
	`pack` integer NOT NULL,
	`breaks` text NOT NULL,
	`set_at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `prices_supplier` ON `prices` (`supplier`);--> statement-breakpoint
ALTER TABLE `practice` ADD `capacitor_school` text DEFAULT 'after-start' NOT NULL;