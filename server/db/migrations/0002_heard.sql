CREATE TABLE `explanations` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`alarm` text NOT NULL,
	`says` text NOT NULL,
	`at` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `explanations_machine` ON `explanations` (`machine_id`);--> statement-breakpoint
CREATE TABLE `start_runs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`start_id` integer NOT NULL,
	`on_seconds` real NOT NULL,
	`called` text,
	`called_at_seconds` real,
	`noticed` text DEFAULT '[]' NOT NULL,
	`kept` text DEFAULT '{}' NOT NULL,
	`samples` text DEFAULT '[]' NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`start_id`) REFERENCES `starts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `start_runs_machine` ON `start_runs` (`machine_id`);--> statement-breakpoint
CREATE INDEX `start_runs_start` ON `start_runs` (`start_id`);--> statement-breakpoint
ALTER TABLE `claims` ADD `at` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `damages` ADD `at` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `interventions` ADD `at` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `batteries` ADD `at` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `power_assessments` ADD `answered_at` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `power_assessments` ADD `inspected_by_id` integer;--> statement-breakpoint
ALTER TABLE `power_assessments` ADD `bench` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
UPDATE `people` SET `skills` = json_insert(`skills`, '$[#]', 'inspection') WHERE `active` = 1 AND (`role` = 'coordinator' OR EXISTS (SELECT 1 FROM json_each(`people`.`skills`) WHERE value = 'mains'));--> statement-breakpoint
UPDATE `power_assessments` SET `inspected_by_id` = (SELECT max(p.`id`) FROM `people` p WHERE p.`name` = `inspected_by` OR p.`name` LIKE `inspected_by` || ' %')
WHERE `inspected_by` <> '' AND (SELECT count(*) FROM `people` p WHERE p.`name` = `inspected_by` OR p.`name` LIKE `inspected_by` || ' %') = 1;--> statement-breakpoint
INSERT INTO `start_runs` (`machine_id`, `start_id`, `on_seconds`, `noticed`, `samples`, `at`)
SELECT `machine_id`, `id`, `on_seconds`, json_array(CASE `why` WHEN 'Smoke was noticed' THEN 'smoke' WHEN 'Smell was noticed' THEN 'smell' WHEN 'Sound was noticed' THEN 'sound' ELSE 'other' END), `samples`, `ended_at`
FROM `starts` WHERE `ended_at` IS NOT NULL AND `why` IN ('Smoke was noticed', 'Smell was noticed', 'Sound was noticed', 'Something else was noticed');--> statement-breakpoint
DELETE FROM `machine_summaries`;
