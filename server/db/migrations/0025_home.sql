CREATE TABLE `home_shops` (
	`trip_id` char(36) NOT NULL,
	`id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`name` varchar(120) NOT NULL,
	`hours` varchar(200) NOT NULL,
	`delivery_days` int,
	CONSTRAINT `home_shops_trip_id_id_pk` PRIMARY KEY(`trip_id`,`id`)
);
--> statement-breakpoint
CREATE TABLE `homes` (
	`trip_id` char(36) NOT NULL,
	`country` char(2),
	`papers_on` char(10),
	`papers_state` enum('open','done','left') NOT NULL DEFAULT 'open',
	`papers_by` varchar(60),
	CONSTRAINT `homes_trip_id` PRIMARY KEY(`trip_id`)
);
--> statement-breakpoint
CREATE TABLE `own_tasks` (
	`trip_id` char(36) NOT NULL,
	`id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`name` varchar(120) NOT NULL,
	`minutes` double NOT NULL,
	`note` text NOT NULL,
	`on_day` char(10),
	`state` enum('open','done','left') NOT NULL DEFAULT 'open',
	`done_by` varchar(60),
	CONSTRAINT `own_tasks_trip_id_id_pk` PRIMARY KEY(`trip_id`,`id`)
);
--> statement-breakpoint
ALTER TABLE `rider_practice` ADD `state` enum('open','done','left') DEFAULT 'open' NOT NULL;--> statement-breakpoint
ALTER TABLE `rider_practice` ADD `done_by` varchar(60);--> statement-breakpoint
ALTER TABLE `services` ADD `posted_on` char(10);--> statement-breakpoint
ALTER TABLE `services` ADD `posting_state` enum('open','done','left') DEFAULT 'open' NOT NULL;--> statement-breakpoint
ALTER TABLE `services` ADD `posted_by` varchar(60);--> statement-breakpoint
ALTER TABLE `home_shops` ADD CONSTRAINT `home_shops_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `homes` ADD CONSTRAINT `homes_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `own_tasks` ADD CONSTRAINT `own_tasks_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;