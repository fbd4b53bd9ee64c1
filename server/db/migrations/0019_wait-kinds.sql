ALTER TABLE `waits` ADD `kind` text;--> statement-breakpoint
UPDATE `start_runs` SET `called` = json_set(`called`, '$.heard', 'elsewhere') WHERE json_extract(`called`, '$.code') LIKE 'rail.%';--> statement-breakpoint
UPDATE `start_runs` SET `called` = json_set(`called`, '$.heard', 'nowhere') WHERE json_extract(`called`, '$.code') LIKE 'start.meter-%' OR json_extract(`called`, '$.code') IN ('start.blind', 'start.time', 'start.people');
