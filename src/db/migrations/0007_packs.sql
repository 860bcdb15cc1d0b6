PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_pantry` (
	`ingredient` text PRIMARY KEY NOT NULL,
	`have_g` real DEFAULT 0 NOT NULL,
	`packs` text DEFAULT '[]' NOT NULL,
	CONSTRAINT "pantry_have" CHECK("__new_pantry"."have_g" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_pantry`("ingredient", "have_g", "packs") SELECT "ingredient", "have_g", "packs" FROM `pantry`;--> statement-breakpoint
DROP TABLE `pantry`;--> statement-breakpoint
ALTER TABLE `__new_pantry` RENAME TO `pantry`;--> statement-breakpoint
PRAGMA foreign_keys=ON;