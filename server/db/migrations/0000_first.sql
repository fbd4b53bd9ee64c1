CREATE TABLE `people` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`sign_in_name` text NOT NULL,
	`password_hash` text NOT NULL,
	`role` text NOT NULL,
	`active` integer DEFAULT true NOT NULL
, `skills` text DEFAULT '[]' NOT NULL);
--> statement-breakpoint
CREATE TABLE `practice` (
	`id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`school` text NOT NULL,
	`numbering` text NOT NULL,
	`zone` text NOT NULL, `currency` text DEFAULT 'EUR' NOT NULL, `battery_school` text DEFAULT 'remote-holder' NOT NULL, `meter_host` text DEFAULT '' NOT NULL, `meter_port` integer,
	CONSTRAINT "one_row" CHECK("practice"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE `journal` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`chain` text NOT NULL,
	`seq` integer NOT NULL,
	`machine_id` integer,
	`kind` text NOT NULL,
	`at` text NOT NULL,
	`person_id` integer,
	`by` text NOT NULL,
	`data` text NOT NULL,
	`subject` text,
	`subject_id` integer,
	`strikes` integer,
	`previous_hash` text NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `journal_heads` (
	`chain` text PRIMARY KEY NOT NULL,
	`seq` integer NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `accessories` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`name` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `assemblies` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`presence` text DEFAULT 'not-looked' NOT NULL,
	`grade` integer,
	`note` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `claims` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`says` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer, `version` integer DEFAULT 1 NOT NULL, `verdict` text DEFAULT 'open' NOT NULL, `because` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `cleanings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`with_what` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `damages` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`assembly_id` integer,
	`kind` text NOT NULL,
	`place` text NOT NULL,
	`extent` text DEFAULT '' NOT NULL,
	`severity` text NOT NULL,
	`struck_by` integer, `version` integer DEFAULT 1 NOT NULL, `photograph_id` integer, `mark` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assembly_id`) REFERENCES `assemblies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `date_codes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`part` text DEFAULT '' NOT NULL,
	`code` text NOT NULL,
	`struck_by` integer, `reworked` integer DEFAULT false NOT NULL, `socketed` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `faults` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`symptom` text NOT NULL,
	`first_seen` text DEFAULT '' NOT NULL,
	`stops_machine` integer NOT NULL,
	`open` integer DEFAULT true NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `machines` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`tag` text NOT NULL,
	`model_id` integer,
	`name` text NOT NULL,
	`maker` text DEFAULT '' NOT NULL,
	`nickname` text DEFAULT '' NOT NULL,
	`serial` text DEFAULT '' NOT NULL,
	`weight_kg` real,
	`place` text DEFAULT '' NOT NULL,
	`acquired` text NOT NULL,
	`from_whom` text DEFAULT '' NOT NULL,
	`owner` text DEFAULT '' NOT NULL,
	`last_powered` text DEFAULT '' NOT NULL,
	`last_powered_by` text DEFAULT '' NOT NULL,
	`last_powered_what` text DEFAULT '' NOT NULL,
	`booked_in_at` text NOT NULL,
	`stage` text DEFAULT 'arrive' NOT NULL,
	`on_bench` integer DEFAULT true NOT NULL,
	`own_rails` text,
	`life` text,
	`passport_token` text,
	`passport_on` integer DEFAULT false NOT NULL, `variant` text DEFAULT '' NOT NULL, `own_inlet` text,
	FOREIGN KEY (`model_id`) REFERENCES `models`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `observations` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fault_id` integer NOT NULL,
	`says` text NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`fault_id`) REFERENCES `faults`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `part_needs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`quantity` integer NOT NULL,
	`stops_start` integer NOT NULL,
	`outcome` text DEFAULT 'wanted' NOT NULL,
	`wanted_at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `power_assessments` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`facts` text NOT NULL,
	`inspected_by` text DEFAULT '' NOT NULL,
	`battery_has_leaked` integer DEFAULT false NOT NULL,
	`school` text,
	`overrule_verdict` text,
	`overrule_reason` text DEFAULT '' NOT NULL,
	`overruled_by` text DEFAULT '' NOT NULL,
	`overrule_basis` text DEFAULT '' NOT NULL, `configuration` text DEFAULT '{"kind":"whole","out":[]}' NOT NULL, `supply_id` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `questions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`question` text NOT NULL,
	`answer` text DEFAULT '' NOT NULL,
	`settled_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`rail` text NOT NULL,
	`value_v` real NOT NULL,
	`load` text NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer, `configuration` text DEFAULT 'whole' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `repairs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fault_id` integer NOT NULL,
	`did` text NOT NULL,
	`closes` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`fault_id`) REFERENCES `faults`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `sign_offs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`statement` text NOT NULL,
	`by_whom` text NOT NULL,
	`at` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `waits` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`started_at` text NOT NULL,
	`until` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `models` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`maker` text DEFAULT '' NOT NULL,
	`name` text NOT NULL,
	`about` text DEFAULT '' NOT NULL,
	`assemblies` text NOT NULL,
	`rails` text NOT NULL
, `usual_kit` text DEFAULT '[]' NOT NULL, `variants` text DEFAULT '[]' NOT NULL, `known_faults` text DEFAULT '[]' NOT NULL, `weight_kg` real, `made_from` integer, `made_to` integer, `inlet` text);
--> statement-breakpoint
CREATE VIRTUAL TABLE machine_search USING fts5(tag, names, claims, notes, faults, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
--> statement-breakpoint
CREATE TABLE `appraisals` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`significance` text NOT NULL,
	`hours_low` real NOT NULL,
	`hours_high` real NOT NULL,
	`cost_low` real NOT NULL,
	`cost_high` real NOT NULL,
	`irreplaceable` text NOT NULL,
	`path` text,
	`path_reason` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `checks_done` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`code` text NOT NULL,
	`outcome` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `consents` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`allowed` text NOT NULL,
	`up_to` real NOT NULL,
	`must_ask` text DEFAULT '' NOT NULL,
	`agreed_with` text NOT NULL,
	`agreed_on` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `corrosions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`photograph_id` integer NOT NULL,
	`what` text NOT NULL,
	`inputs` text NOT NULL,
	`steel` integer NOT NULL,
	`area_pct` real NOT NULL,
	`error_pct` real NOT NULL,
	`at` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`photograph_id`) REFERENCES `photographs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `files` (
	`hash` text PRIMARY KEY NOT NULL,
	`mime` text NOT NULL,
	`bytes` integer NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`taken_at` text DEFAULT '' NOT NULL,
	`kept_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `interventions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`kind` text NOT NULL,
	`assembly_id` integer,
	`place` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`state` text NOT NULL,
	`photograph_id` integer,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assembly_id`) REFERENCES `assemblies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`photograph_id`) REFERENCES `photographs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `letters` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`machine_id` integer NOT NULL,
	`letter` text NOT NULL,
	`photograph_ids` text NOT NULL,
	`to_address` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by_whom` text NOT NULL,
	`sent_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `opening_steps` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`step` integer NOT NULL,
	`what` text NOT NULL,
	`state` text NOT NULL,
	`fixings` text NOT NULL,
	`connectors` text NOT NULL,
	`hides` text DEFAULT '' NOT NULL,
	`hazard` text DEFAULT '' NOT NULL,
	`photograph_id` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`photograph_id`) REFERENCES `photographs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `photographs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`hash` text NOT NULL,
	`name` text NOT NULL,
	`assembly_id` integer,
	`caption` text DEFAULT '' NOT NULL,
	`scale` text,
	`at` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`hash`) REFERENCES `files`(`hash`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assembly_id`) REFERENCES `assemblies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `spendings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`amount` real NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `off_readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`rail` text NOT NULL,
	`reading` text NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer, `configuration` text DEFAULT 'whole' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
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
CREATE TABLE `supplies` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`place` text DEFAULT '' NOT NULL,
	`label` text NOT NULL,
	`active` integer DEFAULT true NOT NULL
);
--> statement-breakpoint
CREATE TABLE `batteries` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`place` text NOT NULL,
	`chemistry` text NOT NULL,
	`cells` integer DEFAULT 1 NOT NULL,
	`year` integer,
	`state` text NOT NULL,
	`fitted` integer NOT NULL,
	`charging` text NOT NULL,
	`replacement` text,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `starts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`machine_id` integer NOT NULL,
	`plan` text NOT NULL,
	`configuration` text NOT NULL,
	`at_probe` text NOT NULL,
	`at_switch` text NOT NULL,
	`begun_at` text NOT NULL,
	`ended_at` text,
	`outcome` text,
	`why` text DEFAULT '' NOT NULL,
	`on_seconds` real DEFAULT 0 NOT NULL,
	`samples` text DEFAULT '[]' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `temperatures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`part` text NOT NULL,
	`place` text DEFAULT '' NOT NULL,
	`samples` text NOT NULL,
	`at` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `people_uid_unique` ON `people` (`uid`);
--> statement-breakpoint
CREATE UNIQUE INDEX `people_sign_in_name_unique` ON `people` (`sign_in_name`);
--> statement-breakpoint
CREATE INDEX `journal_machine` ON `journal` (`machine_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `journal_chain_seq_unique` ON `journal` (`chain`,`seq`);
--> statement-breakpoint
CREATE INDEX `accessories_machine` ON `accessories` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `assemblies_machine` ON `assemblies` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `claims_machine` ON `claims` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `cleanings_machine` ON `cleanings` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `damages_machine` ON `damages` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `date_codes_machine` ON `date_codes` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `faults_machine` ON `faults` (`machine_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `machines_uid_unique` ON `machines` (`uid`);
--> statement-breakpoint
CREATE UNIQUE INDEX `machines_tag_unique` ON `machines` (`tag`);
--> statement-breakpoint
CREATE UNIQUE INDEX `machines_passport_token_unique` ON `machines` (`passport_token`);
--> statement-breakpoint
CREATE INDEX `observations_fault` ON `observations` (`fault_id`);
--> statement-breakpoint
CREATE INDEX `part_needs_machine` ON `part_needs` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `questions_machine` ON `questions` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `readings_machine` ON `readings` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `repairs_fault` ON `repairs` (`fault_id`);
--> statement-breakpoint
CREATE INDEX `sign_offs_machine` ON `sign_offs` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `waits_machine` ON `waits` (`machine_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `models_uid_unique` ON `models` (`uid`);
--> statement-breakpoint
CREATE UNIQUE INDEX `models_maker_name_unique` ON `models` (`maker`,`name`);
--> statement-breakpoint
CREATE INDEX `checks_done_machine` ON `checks_done` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `corrosions_machine` ON `corrosions` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `interventions_machine` ON `interventions` (`machine_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `letters_uid_unique` ON `letters` (`uid`);
--> statement-breakpoint
CREATE INDEX `letters_machine` ON `letters` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `opening_steps_machine` ON `opening_steps` (`machine_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `photographs_uid_unique` ON `photographs` (`uid`);
--> statement-breakpoint
CREATE INDEX `photographs_machine` ON `photographs` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `spendings_machine` ON `spendings` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `off_readings_machine` ON `off_readings` (`machine_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `hazards_machine_id_kind_unique` ON `hazards` (`machine_id`,`kind`);
--> statement-breakpoint
CREATE UNIQUE INDEX `supplies_uid_unique` ON `supplies` (`uid`);
--> statement-breakpoint
CREATE INDEX `batteries_machine` ON `batteries` (`machine_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `starts_uid_unique` ON `starts` (`uid`);
--> statement-breakpoint
CREATE INDEX `starts_machine` ON `starts` (`machine_id`);
--> statement-breakpoint
CREATE INDEX `temperatures_machine` ON `temperatures` (`machine_id`);
--> statement-breakpoint
CREATE TRIGGER journal_is_not_changed BEFORE UPDATE ON journal
BEGIN SELECT RAISE(ABORT, 'The history is append-only: an entry cannot be changed.'); END;
--> statement-breakpoint
CREATE TRIGGER journal_is_not_shortened BEFORE DELETE ON journal
BEGIN SELECT RAISE(ABORT, 'The history is append-only: an entry cannot be removed.'); END;
