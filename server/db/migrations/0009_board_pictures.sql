CREATE TABLE `board_pictures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`board_id` integer NOT NULL,
	`photograph_id` integer NOT NULL,
	`perspective` integer NOT NULL,
	`pairs` text NOT NULL,
	`matrix` text NOT NULL,
	`residual_mm` real,
	`mirrored` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `board_pictures_machine` ON `board_pictures` (`machine_id`);