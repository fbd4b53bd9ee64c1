CREATE TABLE `hazards` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`kind` text NOT NULL,
	`state` text NOT NULL,
	`evidence` text NOT NULL,
	`at` text NOT NULL,
	`by_whom` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `hazards_machine_id_kind_unique` ON `hazards` (`machine_id`,`kind`);