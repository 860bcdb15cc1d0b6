DROP INDEX `gatherings_listed`;--> statement-breakpoint
ALTER TABLE `gatherings` ADD `archived_at` text;--> statement-breakpoint
CREATE INDEX `gatherings_listed` ON `gatherings` (`archived_at`,`day`,`name`,`id`,`guests`,`line`);--> statement-breakpoint
ALTER TABLE `kitchens` ADD `archived_at` text;