CREATE TABLE `known_boards` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`model_id` integer NOT NULL,
	`variant` text DEFAULT '' NOT NULL,
	`assembly` text NOT NULL,
	`capacitors` text NOT NULL,
	FOREIGN KEY (`model_id`) REFERENCES `models`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `known_boards_board` ON `known_boards` (`model_id`,`variant`,`assembly`);