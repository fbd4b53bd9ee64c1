CREATE TABLE `accessories` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`name` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `accessories_machine` ON `accessories` (`machine_id`);--> statement-breakpoint
CREATE TABLE `claims` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`says` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`verdict` text DEFAULT 'open' NOT NULL,
	`because` text DEFAULT '' NOT NULL,
	`at` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `claims_machine` ON `claims` (`machine_id`);--> statement-breakpoint
CREATE TABLE `date_codes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`part` text DEFAULT '' NOT NULL,
	`code` text NOT NULL,
	`reworked` integer DEFAULT false NOT NULL,
	`socketed` integer DEFAULT false NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `date_codes_machine` ON `date_codes` (`machine_id`);--> statement-breakpoint
CREATE TABLE `lot_rows` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`lot_id` integer NOT NULL,
	`input` text NOT NULL,
	`tag` text,
	FOREIGN KEY (`lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lot_rows_lot` ON `lot_rows` (`lot_id`,`tag`);--> statement-breakpoint
CREATE TABLE `lots` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`total` integer NOT NULL,
	`person_id` integer NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL,
	`trouble` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `lots_uid_unique` ON `lots` (`uid`);--> statement-breakpoint
CREATE TABLE `bare_coppers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`where` text NOT NULL,
	`at` text NOT NULL,
	`sealed_at` text,
	`sealed_with` text,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bare_coppers_machine` ON `bare_coppers` (`machine_id`);--> statement-breakpoint
CREATE TABLE `cleaning_parts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`materials` text NOT NULL,
	`soils` text NOT NULL,
	`works` text NOT NULL,
	`socketed` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cleaning_parts_machine` ON `cleaning_parts` (`machine_id`);--> statement-breakpoint
CREATE TABLE `cleaning_schools` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`boards` text,
	`plastic` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `cleaning_steps` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`part` text NOT NULL,
	`kind` text NOT NULL,
	`method` text,
	`says` text NOT NULL,
	`why` text DEFAULT '' NOT NULL,
	`minutes` integer NOT NULL,
	`cautions` text NOT NULL,
	`wait_what` text DEFAULT '' NOT NULL,
	`wait_hours` real,
	`person_id` integer,
	`state` text DEFAULT 'open' NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`done_by` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cleaning_steps_machine` ON `cleaning_steps` (`machine_id`);--> statement-breakpoint
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
CREATE INDEX `cleanings_machine` ON `cleanings` (`machine_id`);--> statement-breakpoint
CREATE TABLE `contaminations` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`kind` text NOT NULL,
	`where` text NOT NULL,
	`says` text DEFAULT '' NOT NULL,
	`state` text DEFAULT 'present' NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `contaminations_machine` ON `contaminations` (`machine_id`);--> statement-breakpoint
CREATE TABLE `counted_parts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`what` text NOT NULL,
	`out` integer NOT NULL,
	`back` integer,
	`photograph_id` integer,
	`note` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `counted_parts_machine` ON `counted_parts` (`machine_id`);--> statement-breakpoint
CREATE TABLE `dryings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`error_g` real NOT NULL,
	`left_g` real NOT NULL,
	`started_at` text NOT NULL,
	`ended_at` text,
	`ended_wet` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `dryings_machine` ON `dryings` (`machine_id`);--> statement-breakpoint
CREATE TABLE `weighings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`drying_id` integer NOT NULL,
	`mass_g` real NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `weighings_machine` ON `weighings` (`machine_id`);--> statement-breakpoint
CREATE TABLE `whitening_colours` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`whitening_id` integer NOT NULL,
	`l` real NOT NULL,
	`a` real NOT NULL,
	`b` real NOT NULL,
	`error` real NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `whitening_colours_machine` ON `whitening_colours` (`machine_id`);--> statement-breakpoint
CREATE TABLE `whitening_exposures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`whitening_id` integer NOT NULL,
	`how` text NOT NULL,
	`hours` real NOT NULL,
	`strength_pct` real,
	`temperature_c` real,
	`turned` integer DEFAULT false NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `whitening_exposures_machine` ON `whitening_exposures` (`machine_id`);--> statement-breakpoint
CREATE TABLE `whitenings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`name` text NOT NULL,
	`plastic` text DEFAULT '' NOT NULL,
	`goal_b` real NOT NULL,
	`reference` text NOT NULL,
	`tau_hours` real,
	`ended_at` text,
	`outcome` text DEFAULT '' NOT NULL,
	`relook_on` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `whitenings_machine` ON `whitenings` (`machine_id`);--> statement-breakpoint
CREATE INDEX `whitenings_plastic` ON `whitenings` (`plastic`);--> statement-breakpoint
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
CREATE INDEX `board_pictures_machine` ON `board_pictures` (`machine_id`);--> statement-breakpoint
CREATE TABLE `board_strikes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`board_id` integer NOT NULL,
	`pin` text NOT NULL,
	`reason` text NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `board_strikes_board` ON `board_strikes` (`board_id`);--> statement-breakpoint
CREATE TABLE `boards` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`model_id` integer NOT NULL,
	`name` text NOT NULL,
	`issue` text DEFAULT '' NOT NULL,
	`file_name` text DEFAULT '' NOT NULL,
	`format` text DEFAULT '' NOT NULL,
	`rows` text NOT NULL,
	`nets` integer NOT NULL,
	`pins` integer NOT NULL,
	`active` integer DEFAULT true NOT NULL,
	`functions` text DEFAULT '[]' NOT NULL,
	`areas` text DEFAULT '[]' NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `boards_uid_unique` ON `boards` (`uid`);--> statement-breakpoint
CREATE INDEX `boards_model` ON `boards` (`model_id`);--> statement-breakpoint
CREATE TABLE `patches` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`sheet_id` integer NOT NULL,
	`net` text NOT NULL,
	`a` text NOT NULL,
	`b` text NOT NULL,
	`length_mm` real NOT NULL,
	`awg` integer NOT NULL,
	`after_ohm` real,
	`contact` text NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `patches_machine` ON `patches` (`machine_id`);--> statement-breakpoint
CREATE TABLE `probe_checks` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`sheet_id` integer NOT NULL,
	`kind` text NOT NULL,
	`a` text NOT NULL,
	`b` text NOT NULL,
	`net_a` text NOT NULL,
	`net_b` text NOT NULL,
	`expect_ohm` real,
	`beyond` integer DEFAULT false NOT NULL,
	`why` text DEFAULT '' NOT NULL,
	`taken_by` integer,
	`taken_at` text,
	`contact` text,
	`ohm` real,
	`by` text DEFAULT '' NOT NULL,
	`at` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE INDEX `probe_checks_sheet` ON `probe_checks` (`sheet_id`,`contact`);--> statement-breakpoint
CREATE TABLE `probe_nets` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`sheet_id` integer NOT NULL,
	`net` text NOT NULL,
	`supply` integer NOT NULL,
	`ends` text NOT NULL,
	`state` text DEFAULT 'not-yet' NOT NULL,
	`pieces` text DEFAULT '[]' NOT NULL,
	`breaks` text DEFAULT '[]' NOT NULL
);
--> statement-breakpoint
CREATE INDEX `probe_nets_sheet` ON `probe_nets` (`sheet_id`,`net`);--> statement-breakpoint
CREATE TABLE `probe_sheets` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`board_id` integer NOT NULL,
	`board` text NOT NULL,
	`issue` text DEFAULT '' NOT NULL,
	`other_issue` integer DEFAULT false NOT NULL,
	`title` text NOT NULL,
	`leads_ohm` real NOT NULL,
	`total` integer NOT NULL,
	`answered` integer DEFAULT 0 NOT NULL,
	`broken` text DEFAULT '[]' NOT NULL,
	`doubtful` text DEFAULT '[]' NOT NULL,
	`shorts` text DEFAULT '[]' NOT NULL,
	`started_at` text NOT NULL,
	`ended_at` text,
	`note` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `probe_sheets_machine` ON `probe_sheets` (`machine_id`);--> statement-breakpoint
CREATE TABLE `fault_attempts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fault_id` integer NOT NULL,
	`area` text NOT NULL,
	`did` text NOT NULL,
	`minutes` integer,
	`trial` text,
	`capture` text DEFAULT '' NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`fault_id`) REFERENCES `faults`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `fault_attempts_fault` ON `fault_attempts` (`fault_id`);--> statement-breakpoint
CREATE TABLE `model_bench_maps` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`model_id` integer NOT NULL,
	`kind` text NOT NULL,
	`map` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
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
CREATE TABLE `faults` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`symptom` text NOT NULL,
	`first_seen` text DEFAULT '' NOT NULL,
	`reported_at` text DEFAULT '' NOT NULL,
	`stops_machine` integer NOT NULL,
	`open` integer DEFAULT true NOT NULL,
	`symptoms` text DEFAULT '[]' NOT NULL,
	`conditions` text DEFAULT '' NOT NULL,
	`left_as` text DEFAULT '' NOT NULL,
	`cause` text DEFAULT '' NOT NULL,
	`cause_kind` text DEFAULT '' NOT NULL,
	`swap_parts` text DEFAULT '[]' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `faults_machine` ON `faults` (`machine_id`);--> statement-breakpoint
CREATE TABLE `model_codes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`model_id` integer NOT NULL,
	`code` text NOT NULL,
	`says` text NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `model_codes_model` ON `model_codes` (`model_id`);--> statement-breakpoint
CREATE TABLE `observations` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fault_id` integer NOT NULL,
	`says` text NOT NULL,
	`photograph_id` integer,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`fault_id`) REFERENCES `faults`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `observations_fault` ON `observations` (`fault_id`);--> statement-breakpoint
CREATE TABLE `repairs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`fault_id` integer NOT NULL,
	`did` text NOT NULL,
	`closes` integer NOT NULL,
	`part` text DEFAULT '' NOT NULL,
	`part_from` text DEFAULT '' NOT NULL,
	`reversible` integer DEFAULT true NOT NULL,
	`by_id` integer,
	`at` text NOT NULL,
	FOREIGN KEY (`fault_id`) REFERENCES `faults`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `repairs_fault` ON `repairs` (`fault_id`);--> statement-breakpoint
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
CREATE TABLE `kept_parts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`part` text NOT NULL,
	`bag` text NOT NULL,
	`why` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`ended` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `kept_parts_machine` ON `kept_parts` (`machine_id`);--> statement-breakpoint
CREATE TABLE `demonstrations` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`at` text NOT NULL,
	`minutes` integer NOT NULL,
	`says` text DEFAULT '' NOT NULL,
	`trouble` integer NOT NULL,
	`by` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `demonstrations_machine` ON `demonstrations` (`machine_id`);--> statement-breakpoint
CREATE TABLE `passport_pictures` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`before_id` integer,
	`after_id` integer,
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
CREATE INDEX `questions_machine` ON `questions` (`machine_id`);--> statement-breakpoint
CREATE TABLE `kept_lists` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`query` text NOT NULL,
	`by_whom` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `kept_lists_name_unique` ON `kept_lists` (`name`);--> statement-breakpoint
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
CREATE INDEX `assemblies_machine` ON `assemblies` (`machine_id`);--> statement-breakpoint
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
CREATE INDEX `checks_done_machine` ON `checks_done` (`machine_id`);--> statement-breakpoint
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
CREATE INDEX `corrosions_machine` ON `corrosions` (`machine_id`);--> statement-breakpoint
CREATE TABLE `damages` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`assembly_id` integer,
	`kind` text NOT NULL,
	`place` text NOT NULL,
	`extent` text DEFAULT '' NOT NULL,
	`severity` text NOT NULL,
	`at` text DEFAULT '' NOT NULL,
	`photograph_id` integer,
	`mark` text,
	`patina` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assembly_id`) REFERENCES `assemblies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `damages_machine` ON `damages` (`machine_id`);--> statement-breakpoint
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
	`at` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assembly_id`) REFERENCES `assemblies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`photograph_id`) REFERENCES `photographs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `interventions_machine` ON `interventions` (`machine_id`);--> statement-breakpoint
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
CREATE UNIQUE INDEX `photographs_uid_unique` ON `photographs` (`uid`);--> statement-breakpoint
CREATE INDEX `photographs_machine` ON `photographs` (`machine_id`);--> statement-breakpoint
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
CREATE INDEX `opening_steps_machine` ON `opening_steps` (`machine_id`);--> statement-breakpoint
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
CREATE INDEX `part_needs_machine` ON `part_needs` (`machine_id`);--> statement-breakpoint
CREATE INDEX `part_needs_wanted` ON `part_needs` (`outcome`,`stops_start`,`wanted_at`);--> statement-breakpoint
CREATE TABLE `people` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`sign_in_name` text NOT NULL,
	`password_hash` text NOT NULL,
	`role` text NOT NULL,
	`active` integer DEFAULT true NOT NULL,
	`skills` text DEFAULT '[]' NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `people_uid_unique` ON `people` (`uid`);--> statement-breakpoint
CREATE UNIQUE INDEX `people_sign_in_name_unique` ON `people` (`sign_in_name`);--> statement-breakpoint
CREATE TABLE `sessions` (
	`uid` text PRIMARY KEY NOT NULL,
	`person_id` integer NOT NULL,
	`browser` text NOT NULL,
	`opened_at` text NOT NULL,
	`seen_at` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sessions_person` ON `sessions` (`person_id`);--> statement-breakpoint
CREATE TABLE `evening_jobs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`day` text NOT NULL,
	`code` text NOT NULL,
	`kind` text NOT NULL,
	`stage` text NOT NULL,
	`says` text NOT NULL,
	`why` text DEFAULT '' NOT NULL,
	`skill` text,
	`pair` integer DEFAULT false NOT NULL,
	`because` text DEFAULT '[]' NOT NULL,
	`hands` text NOT NULL,
	`guess_minutes` integer NOT NULL,
	`basis` text DEFAULT '' NOT NULL,
	`starts_at` text,
	`state` text NOT NULL,
	`started_at` text,
	`ended_at` text,
	`taken_minutes` integer DEFAULT 0 NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`noted_by` text DEFAULT '' NOT NULL,
	`noted_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `evening_jobs_machine` ON `evening_jobs` (`machine_id`,`ended_at`);--> statement-breakpoint
CREATE INDEX `evening_jobs_day` ON `evening_jobs` (`day`);--> statement-breakpoint
CREATE INDEX `evening_jobs_state` ON `evening_jobs` (`state`,`id`);--> statement-breakpoint
CREATE TABLE `evening_letters` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`day` text NOT NULL,
	`subject` text NOT NULL,
	`lines` text NOT NULL,
	`to_address` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by_whom` text NOT NULL,
	`sent_at` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `evening_letters_uid_unique` ON `evening_letters` (`uid`);--> statement-breakpoint
CREATE INDEX `evening_letters_day` ON `evening_letters` (`day`);--> statement-breakpoint
CREATE TABLE `evening_people` (
	`day` text NOT NULL,
	`person_id` integer NOT NULL,
	`since` text NOT NULL,
	`until` text NOT NULL,
	`left_at` text,
	PRIMARY KEY(`day`, `person_id`)
);
--> statement-breakpoint
CREATE TABLE `evenings` (
	`day` text PRIMARY KEY NOT NULL,
	`dealt_at` text NOT NULL,
	`left_over` text NOT NULL
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
	`at` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `batteries_machine` ON `batteries` (`machine_id`);--> statement-breakpoint
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
CREATE UNIQUE INDEX `hazards_machine_id_kind_unique` ON `hazards` (`machine_id`,`kind`);--> statement-breakpoint
CREATE TABLE `off_readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`rail` text NOT NULL,
	`reading` text NOT NULL,
	`configuration` text DEFAULT 'whole' NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `off_readings_machine` ON `off_readings` (`machine_id`);--> statement-breakpoint
CREATE TABLE `power_assessments` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`facts` text NOT NULL,
	`answered_at` text DEFAULT '{}' NOT NULL,
	`inspected_by_id` integer,
	`inspected_by` text DEFAULT '' NOT NULL,
	`battery_has_leaked` integer DEFAULT false NOT NULL,
	`school` text,
	`configuration` text DEFAULT '{"kind":"whole","out":[]}' NOT NULL,
	`bench` text DEFAULT '[]' NOT NULL,
	`supply_id` integer,
	`overrule_verdict` text,
	`overrule_reason` text DEFAULT '' NOT NULL,
	`overruled_by` text DEFAULT '' NOT NULL,
	`overrule_basis` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `power_assessments_supply` ON `power_assessments` (`supply_id`);--> statement-breakpoint
CREATE TABLE `readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`rail` text NOT NULL,
	`value_v` real NOT NULL,
	`load` text NOT NULL,
	`configuration` text DEFAULT 'whole' NOT NULL,
	`kept_off` integer DEFAULT false NOT NULL,
	`at` text NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `readings_machine` ON `readings` (`machine_id`);--> statement-breakpoint
CREATE TABLE `temperatures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`part` text NOT NULL,
	`place` text DEFAULT '' NOT NULL,
	`samples` text NOT NULL,
	`last_c` real DEFAULT 0 NOT NULL,
	`highest_c` real DEFAULT 0 NOT NULL,
	`climb_k_per_min` real,
	`at` text NOT NULL,
	`by_whom` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `temperatures_machine` ON `temperatures` (`machine_id`);--> statement-breakpoint
CREATE TABLE `practice` (
	`id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`school` text NOT NULL,
	`numbering` text NOT NULL,
	`zone` text NOT NULL,
	`currency` text DEFAULT 'EUR' NOT NULL,
	`battery_school` text DEFAULT 'remote-holder' NOT NULL,
	`board_school` text DEFAULT 'spot' NOT NULL,
	`plastic_school` text DEFAULT 'leave' NOT NULL,
	`meter_host` text DEFAULT '' NOT NULL,
	`meter_port` integer,
	CONSTRAINT "one_row" CHECK("practice"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE `print_jobs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`tag` text NOT NULL,
	`origin` text NOT NULL,
	`state` text DEFAULT 'waiting' NOT NULL,
	`says` text DEFAULT '' NOT NULL,
	`printer_job` integer,
	`sent_at` text,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `print_jobs_state` ON `print_jobs` (`state`);--> statement-breakpoint
CREATE TABLE `printers` (
	`id` integer PRIMARY KEY NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`uri` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE TABLE `build_ups` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`steps` text NOT NULL,
	`looks` text DEFAULT '[]' NOT NULL,
	`started_at` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `build_ups_machine` ON `build_ups` (`machine_id`);--> statement-breakpoint
CREATE TABLE `model_proofs` (
	`model_id` integer PRIMARY KEY NOT NULL,
	`build_up` text DEFAULT '[]' NOT NULL,
	`test_lines` text DEFAULT '[]' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `sign_offs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`statement` text NOT NULL,
	`by_whom` text NOT NULL,
	`limits` text,
	`at` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sign_offs_machine` ON `sign_offs` (`machine_id`);--> statement-breakpoint
CREATE TABLE `soaks` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`seen_failures` integer NOT NULL,
	`seen_passes` integer NOT NULL,
	`confidence` real NOT NULL,
	`seconds_a_pass` real,
	`passes` integer DEFAULT 0 NOT NULL,
	`failures` integer DEFAULT 0 NOT NULL,
	`started_at` text NOT NULL,
	`last_at` text DEFAULT '' NOT NULL,
	`ended_at` text,
	`note` text DEFAULT '' NOT NULL,
	`tallies` text DEFAULT '[]' NOT NULL,
	`log_secret` text DEFAULT '' NOT NULL,
	`log_person_id` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `soaks_machine` ON `soaks` (`machine_id`);--> statement-breakpoint
CREATE INDEX `soaks_log` ON `soaks` (`log_secret`);--> statement-breakpoint
CREATE TABLE `test_sheets` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`lines` text NOT NULL,
	`looks` text DEFAULT '[]' NOT NULL,
	`started_at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `test_sheets_machine` ON `test_sheets` (`machine_id`);--> statement-breakpoint
CREATE TABLE `bulletin_reads` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`uid` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bulletin_reads_machine` ON `bulletin_reads` (`machine_id`);--> statement-breakpoint
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
CREATE UNIQUE INDEX `starts_uid_unique` ON `starts` (`uid`);--> statement-breakpoint
CREATE INDEX `starts_machine` ON `starts` (`machine_id`);--> statement-breakpoint
CREATE INDEX `starts_open` ON `starts` (`ended_at`);--> statement-breakpoint
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
CREATE TABLE `consent_exceptions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`work` text NOT NULL,
	`reason` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `consent_exceptions_machine` ON `consent_exceptions` (`machine_id`);--> statement-breakpoint
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
CREATE UNIQUE INDEX `letters_uid_unique` ON `letters` (`uid`);--> statement-breakpoint
CREATE INDEX `letters_machine` ON `letters` (`machine_id`);--> statement-breakpoint
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
CREATE INDEX `spendings_machine` ON `spendings` (`machine_id`);--> statement-breakpoint
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
CREATE UNIQUE INDEX `supplies_uid_unique` ON `supplies` (`uid`);--> statement-breakpoint
CREATE TABLE `waits` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`what` text NOT NULL,
	`kind` text,
	`started_at` text NOT NULL,
	`until` text NOT NULL,
	`ended_at` text,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `waits_machine` ON `waits` (`machine_id`);--> statement-breakpoint
CREATE INDEX `waits_open` ON `waits` (`ended_at`,`until`);--> statement-breakpoint
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
CREATE UNIQUE INDEX `shelf_materials_uid_unique` ON `shelf_materials` (`uid`);--> statement-breakpoint
CREATE TABLE `commands_done` (
	`uid` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`person_id` integer NOT NULL,
	`at` text NOT NULL,
	`asked` text,
	`result` text
);
--> statement-breakpoint
CREATE INDEX `commands_done_at` ON `commands_done` (`at`);--> statement-breakpoint
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
	`hash` text NOT NULL,
	`digest` text
);
--> statement-breakpoint
CREATE INDEX `journal_machine` ON `journal` (`machine_id`);--> statement-breakpoint
CREATE INDEX `journal_strikes` ON `journal` (`strikes`);--> statement-breakpoint
CREATE INDEX `journal_at` ON `journal` (`at`);--> statement-breakpoint
CREATE INDEX `journal_person` ON `journal` (`person_id`,`machine_id`);--> statement-breakpoint
CREATE UNIQUE INDEX `journal_chain_seq_unique` ON `journal` (`chain`,`seq`);--> statement-breakpoint
CREATE TABLE `journal_heads` (
	`chain` text PRIMARY KEY NOT NULL,
	`seq` integer NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `machine_summaries` (
	`machine_id` integer PRIMARY KEY NOT NULL,
	`tag` text NOT NULL,
	`name` text NOT NULL,
	`model_id` integer,
	`stage` text NOT NULL,
	`gate` text NOT NULL,
	`overruled` integer NOT NULL,
	`on_bench` integer NOT NULL,
	`signed_off` integer NOT NULL,
	`battery_leaked` integer NOT NULL,
	`harm_rank` integer NOT NULL,
	`has_move` integer NOT NULL,
	`due_at` text,
	`card` text NOT NULL,
	`closed_by` text DEFAULT '[]' NOT NULL,
	`search_hash` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `summaries_tag` ON `machine_summaries` (`tag`);--> statement-breakpoint
CREATE INDEX `summaries_gate` ON `machine_summaries` (`gate`,`tag`);--> statement-breakpoint
CREATE INDEX `summaries_stage` ON `machine_summaries` (`stage`,`tag`);--> statement-breakpoint
CREATE INDEX `summaries_bench` ON `machine_summaries` (`on_bench`,`harm_rank`,`tag`);--> statement-breakpoint
CREATE INDEX `summaries_moves` ON `machine_summaries` (`on_bench`,`has_move`,`harm_rank`,`tag`);--> statement-breakpoint
CREATE INDEX `summaries_harm` ON `machine_summaries` (`harm_rank`,`tag`);--> statement-breakpoint
CREATE INDEX `summaries_model` ON `machine_summaries` (`model_id`,`battery_leaked`,`signed_off`);--> statement-breakpoint
CREATE INDEX `summaries_name` ON `machine_summaries` (`name`);--> statement-breakpoint
CREATE INDEX `summaries_due` ON `machine_summaries` (`due_at`);--> statement-breakpoint
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
	`variant` text DEFAULT '' NOT NULL,
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
	`own_inlet` text,
	`life` text,
	`life_since` text,
	`passport_token` text,
	`passport_on` integer DEFAULT false NOT NULL,
	`passport_diary` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`model_id`) REFERENCES `models`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `machines_uid_unique` ON `machines` (`uid`);--> statement-breakpoint
CREATE UNIQUE INDEX `machines_tag_unique` ON `machines` (`tag`);--> statement-breakpoint
CREATE UNIQUE INDEX `machines_passport_token_unique` ON `machines` (`passport_token`);--> statement-breakpoint
CREATE INDEX `machines_model` ON `machines` (`model_id`);--> statement-breakpoint
CREATE INDEX `machines_from_whom` ON `machines` (`from_whom`);--> statement-breakpoint
CREATE TABLE `models` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`maker` text DEFAULT '' NOT NULL,
	`name` text NOT NULL,
	`about` text DEFAULT '' NOT NULL,
	`assemblies` text NOT NULL,
	`usual_kit` text DEFAULT '[]' NOT NULL,
	`variants` text DEFAULT '[]' NOT NULL,
	`known_faults` text DEFAULT '[]' NOT NULL,
	`weight_kg` real,
	`made_from` integer,
	`made_to` integer,
	`inlet` text,
	`bulletins` text DEFAULT '[]' NOT NULL,
	`rails` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `models_uid_unique` ON `models` (`uid`);--> statement-breakpoint
CREATE UNIQUE INDEX `models_maker_name_unique` ON `models` (`maker`,`name`);--> statement-breakpoint
CREATE TABLE `sayings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`machine_id` integer NOT NULL,
	`entry_id` integer NOT NULL,
	`kind` text NOT NULL,
	`sentence` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	`state` text DEFAULT 'open' NOT NULL,
	`found` text DEFAULT '' NOT NULL,
	`found_by` text DEFAULT '' NOT NULL,
	`struck_by` integer,
	FOREIGN KEY (`machine_id`) REFERENCES `machines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sayings_machine` ON `sayings` (`machine_id`);--> statement-breakpoint
CREATE INDEX `sayings_entry` ON `sayings` (`entry_id`);--> statement-breakpoint
CREATE TABLE `settlings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`uid` text NOT NULL,
	`scope` text NOT NULL,
	`scope_id` integer,
	`cursor` integer DEFAULT 0 NOT NULL,
	`done` integer DEFAULT 0 NOT NULL,
	`total` integer NOT NULL,
	`person_id` integer NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `settlings_uid_unique` ON `settlings` (`uid`);
--> statement-breakpoint
CREATE VIRTUAL TABLE machine_search USING fts5(tag, names, claims, notes, faults, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
--> statement-breakpoint
CREATE TRIGGER journal_is_not_changed BEFORE UPDATE ON journal
WHEN NEW.digest IS NULL OR NEW.id <> OLD.id OR NEW.chain <> OLD.chain OR NEW.seq <> OLD.seq OR NEW.kind <> OLD.kind OR NEW.at <> OLD.at
  OR NEW.previous_hash <> OLD.previous_hash OR NEW.hash <> OLD.hash OR (OLD.digest IS NOT NULL AND NEW.digest <> OLD.digest)
BEGIN SELECT RAISE(ABORT, 'The history is append-only: an entry cannot be changed.'); END;
--> statement-breakpoint
CREATE TRIGGER journal_is_not_shortened BEFORE DELETE ON journal
BEGIN SELECT RAISE(ABORT, 'The history is append-only: an entry cannot be removed.'); END;
