CREATE TABLE `pantry` (
	`ingredient` text PRIMARY KEY NOT NULL,
	`have_g` real DEFAULT 0 NOT NULL,
	`pack_g` real,
	`pack_price` integer,
	CONSTRAINT "pantry_have" CHECK("pantry"."have_g" >= 0),
	CONSTRAINT "pantry_pack" CHECK("pantry"."pack_g" is null or "pantry"."pack_g" > 0),
	CONSTRAINT "pantry_price" CHECK("pantry"."pack_price" is null or "pantry"."pack_price" >= 0)
);
