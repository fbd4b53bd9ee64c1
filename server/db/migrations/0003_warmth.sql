ALTER TABLE `temperatures` ADD `last_c` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `temperatures` ADD `highest_c` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `temperatures` ADD `climb_k_per_min` real;--> statement-breakpoint
UPDATE `temperatures` SET
`last_c` = coalesce((SELECT json_extract(value, '$.celsius') FROM json_each(`temperatures`.`samples`) ORDER BY key DESC LIMIT 1), 0),
`highest_c` = coalesce((SELECT max(json_extract(value, '$.celsius')) FROM json_each(`temperatures`.`samples`)), 0);
