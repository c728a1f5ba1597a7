CREATE TABLE `forecasts` (
	`trip_id` char(36) NOT NULL,
	`said_by` varchar(120) NOT NULL,
	CONSTRAINT `forecasts_trip_id` PRIMARY KEY(`trip_id`)
);
--> statement-breakpoint
CREATE TABLE `service_parcels` (
	`trip_id` char(36) NOT NULL,
	`stop_id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`supply_class` varchar(60) NOT NULL,
	`amount` double NOT NULL,
	CONSTRAINT `service_parcels_trip_id_stop_id_position_supply_class_pk` PRIMARY KEY(`trip_id`,`stop_id`,`position`,`supply_class`)
);
--> statement-breakpoint
CREATE TABLE `weather_days` (
	`trip_id` char(36) NOT NULL,
	`date_wall` char(10) NOT NULL,
	`low_c` double NOT NULL,
	`high_c` double NOT NULL,
	`rain_mm` double NOT NULL,
	`wind_km_h` double NOT NULL,
	CONSTRAINT `weather_days_trip_id_date_wall_pk` PRIMARY KEY(`trip_id`,`date_wall`)
);
--> statement-breakpoint
ALTER TABLE `services` ADD `known_from` varchar(20) DEFAULT 'map' NOT NULL;--> statement-breakpoint
ALTER TABLE `stops` ADD `exit_wait_h` double DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `stops` ADD `big_wrench` boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `stretches` ADD `has_signal` boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `stretches` ADD `traffic` varchar(20) DEFAULT 'quiet' NOT NULL;--> statement-breakpoint
ALTER TABLE `forecasts` ADD CONSTRAINT `forecasts_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `service_parcels` ADD CONSTRAINT `service_parcels_service` FOREIGN KEY (`trip_id`,`stop_id`,`position`) REFERENCES `services`(`trip_id`,`stop_id`,`position`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `weather_days` ADD CONSTRAINT `weather_days_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
INSERT INTO `part_versions` (`trip_id`, `part`, `version`, `saved_at`) SELECT `id`, 'forecast', 1, `updated_at` FROM `trips`;
