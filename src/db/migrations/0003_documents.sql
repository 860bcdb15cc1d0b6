CREATE TABLE `item_versions` (
	`item_id` text NOT NULL,
	`data` text NOT NULL,
	`schema_version` integer DEFAULT 1 NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`name` text NOT NULL,
	`saved_at` text NOT NULL,
	PRIMARY KEY(`item_id`, `revision`),
	CONSTRAINT "item_versions_data" CHECK(json_valid("item_versions"."data"))
);
--> statement-breakpoint
CREATE TABLE `plan_references` (
	`plan_id` integer NOT NULL,
	`kind` text NOT NULL,
	`reference` text NOT NULL,
	PRIMARY KEY(`plan_id`, `kind`, `reference`),
	FOREIGN KEY (`plan_id`) REFERENCES `plans`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
ALTER TABLE `gatherings` ADD `schema_version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `gatherings` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `items` ADD `data` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `items` ADD `schema_version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `items` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `kitchens` ADD `schema_version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `kitchens` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `plans` ADD `schema_version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `plans` ADD `cost` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `plans` ADD `origin` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `plans` ADD `first_start` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `plans` ADD `last_end` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE `items` SET `data` = json_set(json_patch(json_patch(json_patch(`about`, `formula`), `piece`), `storage`), '$.steps', json(`steps`), '$.schools', json(`schools`));--> statement-breakpoint
INSERT INTO `item_versions` (`item_id`, `data`, `schema_version`, `revision`, `name`, `saved_at`) SELECT `id`, `data`, 1, 1, `name`, strftime('%Y-%m-%dT%H:%M:%fZ', 'now') FROM `items`;--> statement-breakpoint
UPDATE `plans` SET
	`cost` = coalesce(json_extract(`plan`, '$.solution.cost'), 0),
	`origin` = coalesce(json_extract(`plan`, '$.origin'), ''),
	`first_start` = coalesce((SELECT min(json_extract(`value`, '$.start')) FROM json_each(`plan`, '$.solution.tasks')), 0),
	`last_end` = coalesce((SELECT max(json_extract(`value`, '$.end')) FROM json_each(`plan`, '$.solution.tasks')), 0);--> statement-breakpoint
CREATE TRIGGER `item_versions_stay` BEFORE UPDATE ON `item_versions` BEGIN SELECT raise(ABORT, 'versions of items are append-only'); END;--> statement-breakpoint
CREATE TRIGGER `item_versions_are_kept` BEFORE DELETE ON `item_versions` BEGIN SELECT raise(ABORT, 'versions of items are append-only'); END;
