CREATE TABLE `gatherings` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`position` integer DEFAULT 0 NOT NULL,
	`kitchen_id` text NOT NULL,
	`data` text NOT NULL,
	`saved_at` text NOT NULL,
	FOREIGN KEY (`kitchen_id`) REFERENCES `kitchens`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "gatherings_name" CHECK(length(trim("gatherings"."name")) > 0),
	CONSTRAINT "gatherings_data" CHECK(json_valid("gatherings"."data"))
);
--> statement-breakpoint
CREATE TABLE `items` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`position` integer DEFAULT 0 NOT NULL,
	`about` text NOT NULL,
	`formula` text NOT NULL,
	`piece` text NOT NULL,
	`steps` text NOT NULL,
	`schools` text NOT NULL,
	`storage` text NOT NULL,
	CONSTRAINT "items_name" CHECK(length(trim("items"."name")) > 0),
	CONSTRAINT "items_about" CHECK(json_valid("items"."about")),
	CONSTRAINT "items_formula" CHECK(json_valid("items"."formula")),
	CONSTRAINT "items_piece" CHECK(json_valid("items"."piece")),
	CONSTRAINT "items_steps" CHECK(json_valid("items"."steps") and json_array_length("items"."steps") > 0),
	CONSTRAINT "items_schools" CHECK(json_valid("items"."schools")),
	CONSTRAINT "items_storage" CHECK(json_valid("items"."storage"))
);
--> statement-breakpoint
CREATE TABLE `kitchens` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`position` integer DEFAULT 0 NOT NULL,
	`data` text NOT NULL,
	CONSTRAINT "kitchens_name" CHECK(length(trim("kitchens"."name")) > 0),
	CONSTRAINT "kitchens_data" CHECK(json_valid("kitchens"."data"))
);
--> statement-breakpoint
CREATE TABLE `plans` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`gathering_id` text NOT NULL,
	`status` text NOT NULL,
	`request` text NOT NULL,
	`plan` text NOT NULL,
	`saved_at` text NOT NULL,
	FOREIGN KEY (`gathering_id`) REFERENCES `gatherings`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "plans_status" CHECK("plans"."status" in ('optimal', 'feasible')),
	CONSTRAINT "plans_request" CHECK(json_valid("plans"."request")),
	CONSTRAINT "plans_plan" CHECK(json_valid("plans"."plan"))
);
--> statement-breakpoint
CREATE INDEX `plans_by_gathering` ON `plans` (`gathering_id`,`id`);