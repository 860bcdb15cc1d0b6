CREATE TABLE `run_events` (
	`run_id` text NOT NULL,
	`sequence` integer NOT NULL,
	`event_id` text NOT NULL,
	`at` text NOT NULL,
	`received_at` text NOT NULL,
	`device` text NOT NULL,
	`kind` text NOT NULL,
	`task` text,
	`data` text NOT NULL,
	PRIMARY KEY(`run_id`, `sequence`),
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE restrict,
	CONSTRAINT "run_events_data" CHECK(json_valid("run_events"."data"))
);
--> statement-breakpoint
CREATE UNIQUE INDEX `run_events_once` ON `run_events` (`run_id`,`event_id`);--> statement-breakpoint
CREATE TABLE `runs` (
	`id` text PRIMARY KEY NOT NULL,
	`gathering_id` text NOT NULL,
	`plan_id` integer NOT NULL,
	`started_at` text NOT NULL,
	`shift_ms` integer DEFAULT 0 NOT NULL,
	FOREIGN KEY (`gathering_id`) REFERENCES `gatherings`(`id`) ON UPDATE no action ON DELETE restrict,
	FOREIGN KEY (`plan_id`) REFERENCES `plans`(`id`) ON UPDATE no action ON DELETE restrict
);
--> statement-breakpoint
CREATE INDEX `runs_listed` ON `runs` (`gathering_id`,`started_at`);--> statement-breakpoint
CREATE TRIGGER `run_events_stay` BEFORE UPDATE ON `run_events` BEGIN SELECT raise(ABORT, 'what happened is append-only'); END;--> statement-breakpoint
CREATE TRIGGER `run_events_are_kept` BEFORE DELETE ON `run_events` BEGIN SELECT raise(ABORT, 'what happened is append-only'); END;
