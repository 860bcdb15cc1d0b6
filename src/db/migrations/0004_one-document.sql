PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_items` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`position` integer DEFAULT 0 NOT NULL,
	`data` text NOT NULL,
	`schema_version` integer DEFAULT 1 NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`archived_at` text,
	CONSTRAINT "items_name" CHECK(length(trim("__new_items"."name")) > 0),
	CONSTRAINT "items_data" CHECK(json_valid("__new_items"."data") and json_array_length("__new_items"."data", '$.steps') > 0)
);
--> statement-breakpoint
INSERT INTO `__new_items`("id", "name", "position", "data", "schema_version", "revision", "archived_at") SELECT "id", "name", "position", "data", "schema_version", "revision", "archived_at" FROM `items`;--> statement-breakpoint
DROP TABLE `items`;--> statement-breakpoint
ALTER TABLE `__new_items` RENAME TO `items`;--> statement-breakpoint
PRAGMA foreign_keys=ON;