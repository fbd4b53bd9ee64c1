CREATE TABLE `fault_attempts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fault_id` integer NOT NULL,
	`area` text NOT NULL,
	`did` text NOT NULL,
	`minutes` integer,
	`trial` text,
	`by` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`fault_id`) REFERENCES `faults`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `fault_attempts_fault` ON `fault_attempts` (`fault_id`);--> statement-breakpoint
CREATE TABLE `fault_theories` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fault_id` integer NOT NULL,
	`says` text NOT NULL,
	`why` text NOT NULL,
	`would_refute` text NOT NULL,
	`damaged` integer DEFAULT false NOT NULL,
	`state` text DEFAULT 'held' NOT NULL,
	`state_why` text DEFAULT '' NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`fault_id`) REFERENCES `faults`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `fault_theories_fault` ON `fault_theories` (`fault_id`);--> statement-breakpoint
ALTER TABLE `faults` ADD `symptoms` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `faults` ADD `conditions` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `faults` ADD `left_as` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `faults` ADD `cause` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `faults` ADD `cause_kind` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `faults` ADD `swap_parts` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `repairs` ADD `part` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `repairs` ADD `part_from` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `repairs` ADD `reversible` integer DEFAULT true NOT NULL;