CREATE TABLE `model_bench_maps` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`model_id` integer NOT NULL,
	`kind` text NOT NULL,
	`map` text NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `model_bench_maps_model_id_kind_unique` ON `model_bench_maps` (`model_id`,`kind`);--> statement-breakpoint
CREATE TABLE `fault_captures` (
	`attempt_id` integer PRIMARY KEY NOT NULL,
	`packed` blob NOT NULL,
	FOREIGN KEY (`attempt_id`) REFERENCES `fault_attempts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `fault_attempts` ADD `capture` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `observations` ADD `photograph_id` integer;