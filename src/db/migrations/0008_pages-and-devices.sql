CREATE TABLE `device_code` (
	`id` integer PRIMARY KEY NOT NULL,
	`hash` text NOT NULL,
	`until` integer NOT NULL,
	`tries` integer NOT NULL,
	CONSTRAINT "device_code_one" CHECK("device_code"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE `devices` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`paired_at` text NOT NULL,
	`secret` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `devices_secret_unique` ON `devices` (`secret`);--> statement-breakpoint
DROP INDEX `plans_by_gathering`;--> statement-breakpoint
CREATE INDEX `plans_glanced` ON `plans` (`gathering_id`,`id`,`origin`,`first_start`,`last_end`,`cost`,`status`);--> statement-breakpoint
ALTER TABLE `gatherings` ADD `day` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `gatherings` ADD `guests` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `gatherings` ADD `line` text DEFAULT '' NOT NULL;--> statement-breakpoint
UPDATE `gatherings` SET
	`day` = coalesce(json_extract(`data`, '$.date.on'), json_extract(`data`, '$.date.relative'), ''),
	`guests` = coalesce((SELECT sum(json_extract(`value`, '$.count')) FROM json_each(`data`, '$.guests')), 0),
	`line` = coalesce(json_extract(`data`, '$.line'), '');--> statement-breakpoint
CREATE INDEX `gatherings_listed` ON `gatherings` (`day`,`name`,`id`,`guests`,`line`);