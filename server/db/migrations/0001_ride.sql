CREATE TABLE `nights` (
	`trip_id` char(36) NOT NULL,
	`id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`road_km` double NOT NULL,
	`nights` int NOT NULL,
	CONSTRAINT `nights_trip_id_id_pk` PRIMARY KEY(`trip_id`,`id`)
);
--> statement-breakpoint
CREATE TABLE `rides` (
	`trip_id` char(36) NOT NULL,
	`start_wall` char(16),
	`utc_offset_h` double NOT NULL,
	`country` char(2),
	`day_starts_h` double NOT NULL,
	`riding_h` double NOT NULL,
	`pause_h` double NOT NULL,
	`climb_m_per_h` double NOT NULL,
	`pace` text NOT NULL,
	CONSTRAINT `rides_trip_id` PRIMARY KEY(`trip_id`)
);
--> statement-breakpoint
ALTER TABLE `dials` ADD `wait_h` double DEFAULT 3 NOT NULL;--> statement-breakpoint
ALTER TABLE `nights` ADD CONSTRAINT `nights_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `rides` ADD CONSTRAINT `rides_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
INSERT INTO `part_versions` (`trip_id`, `part`, `version`, `saved_at`) SELECT `id`, 'ride', 1, `updated_at` FROM `trips`;
