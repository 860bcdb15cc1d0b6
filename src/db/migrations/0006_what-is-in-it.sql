CREATE TABLE `own_ingredients` (
	`id` text PRIMARY KEY NOT NULL,
	`schema_version` integer DEFAULT 1 NOT NULL,
	`data` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `pantry` ADD `packs` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
UPDATE `pantry` SET `packs` = CASE WHEN `pack_price` IS NULL THEN json_array(json_object('sizeG', `pack_g`)) ELSE json_array(json_object('sizeG', `pack_g`, 'price', `pack_price`)) END WHERE `pack_g` IS NOT NULL;
