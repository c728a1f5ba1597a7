CREATE TABLE `bikes` (
	`trip_id` char(36) NOT NULL,
	`id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`name` varchar(120) NOT NULL,
	`passport` longtext NOT NULL,
	CONSTRAINT `bikes_trip_id_id_pk` PRIMARY KEY(`trip_id`,`id`)
);
--> statement-breakpoint
CREATE TABLE `dials` (
	`trip_id` char(36) NOT NULL,
	`grams_per_hour` double NOT NULL,
	`budget_g` double,
	`trust` double NOT NULL,
	`walking` varchar(20) NOT NULL,
	`walk_hours_per_day` double NOT NULL,
	`night_out_h` double NOT NULL,
	`ride_over_h` double NOT NULL,
	`helper` double NOT NULL,
	`lift_wait_h` double,
	CONSTRAINT `dials_trip_id` PRIMARY KEY(`trip_id`)
);
--> statement-breakpoint
CREATE TABLE `part_versions` (
	`trip_id` char(36) NOT NULL,
	`part` varchar(20) NOT NULL,
	`version` int NOT NULL,
	`saved_at` datetime(3) NOT NULL,
	CONSTRAINT `part_versions_trip_id_part_pk` PRIMARY KEY(`trip_id`,`part`)
);
--> statement-breakpoint
CREATE TABLE `rider_skills` (
	`trip_id` char(36) NOT NULL,
	`rider_id` varchar(60) NOT NULL,
	`technique` varchar(60) NOT NULL,
	`level` int NOT NULL,
	CONSTRAINT `rider_skills_trip_id_rider_id_technique_pk` PRIMARY KEY(`trip_id`,`rider_id`,`technique`)
);
--> statement-breakpoint
CREATE TABLE `riders` (
	`trip_id` char(36) NOT NULL,
	`id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`name` varchar(120) NOT NULL,
	`bike_id` varchar(60) NOT NULL,
	`hands` int NOT NULL,
	CONSTRAINT `riders_trip_id_id_pk` PRIMARY KEY(`trip_id`,`id`)
);
--> statement-breakpoint
CREATE TABLE `roads` (
	`trip_id` char(36) NOT NULL,
	`name` varchar(200) NOT NULL,
	`points` longtext NOT NULL,
	`length_km` double NOT NULL,
	CONSTRAINT `roads_trip_id` PRIMARY KEY(`trip_id`)
);
--> statement-breakpoint
CREATE TABLE `service_stocks` (
	`trip_id` char(36) NOT NULL,
	`stop_id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`supply_class` varchar(60) NOT NULL,
	`chance` double NOT NULL,
	CONSTRAINT `service_stocks_trip_id_stop_id_position_supply_class_pk` PRIMARY KEY(`trip_id`,`stop_id`,`position`,`supply_class`)
);
--> statement-breakpoint
CREATE TABLE `services` (
	`trip_id` char(36) NOT NULL,
	`stop_id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`kind` varchar(40) NOT NULL,
	`hours` varchar(200) NOT NULL,
	CONSTRAINT `services_trip_id_stop_id_position_pk` PRIMARY KEY(`trip_id`,`stop_id`,`position`)
);
--> statement-breakpoint
CREATE TABLE `sign_in_failures` (
	`id` int AUTO_INCREMENT NOT NULL,
	`subject` varchar(200) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `sign_in_failures_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `stops` (
	`trip_id` char(36) NOT NULL,
	`id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`name` varchar(120) NOT NULL,
	`road_km` double NOT NULL,
	`off_road_m` double NOT NULL,
	`exit_kind` varchar(20),
	`note` text NOT NULL,
	CONSTRAINT `stops_trip_id_id_pk` PRIMARY KEY(`trip_id`,`id`)
);
--> statement-breakpoint
CREATE TABLE `stretches` (
	`trip_id` char(36) NOT NULL,
	`id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`from_km` double NOT NULL,
	`to_km` double NOT NULL,
	`surface` varchar(20) NOT NULL,
	`thorns` boolean NOT NULL,
	`wet` boolean NOT NULL,
	CONSTRAINT `stretches_trip_id_id_pk` PRIMARY KEY(`trip_id`,`id`)
);
--> statement-breakpoint
CREATE TABLE `thing_functions` (
	`trip_id` char(36) NOT NULL,
	`thing_id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`tool_function` varchar(60) NOT NULL,
	CONSTRAINT `thing_functions_trip_id_thing_id_position_pk` PRIMARY KEY(`trip_id`,`thing_id`,`position`)
);
--> statement-breakpoint
CREATE TABLE `thing_units` (
	`trip_id` char(36) NOT NULL,
	`thing_id` varchar(60) NOT NULL,
	`supply_class` varchar(60) NOT NULL,
	`amount` double NOT NULL,
	CONSTRAINT `thing_units_trip_id_thing_id_supply_class_pk` PRIMARY KEY(`trip_id`,`thing_id`,`supply_class`)
);
--> statement-breakpoint
CREATE TABLE `things` (
	`trip_id` char(36) NOT NULL,
	`id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`name` varchar(120) NOT NULL,
	`mass_g` double NOT NULL,
	`count` int NOT NULL,
	`condition_share` double NOT NULL,
	`pin_min` int,
	`pin_max` int,
	`taken_from` varchar(60),
	`note` text NOT NULL,
	CONSTRAINT `things_trip_id_id_pk` PRIMARY KEY(`trip_id`,`id`)
);
--> statement-breakpoint
CREATE TABLE `trips` (
	`id` char(36) NOT NULL,
	`owner_id` char(36) NOT NULL,
	`name` varchar(120) NOT NULL,
	`created_at` datetime NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	`deleted_at` datetime,
	CONSTRAINT `trips_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `users` (
	`id` char(36) NOT NULL,
	`email` varchar(190) NOT NULL,
	`name` varchar(120) NOT NULL,
	`password_hash` varchar(255) NOT NULL,
	`created_at` datetime NOT NULL,
	CONSTRAINT `users_id` PRIMARY KEY(`id`),
	CONSTRAINT `users_email_unique` UNIQUE(`email`)
);
--> statement-breakpoint
ALTER TABLE `bikes` ADD CONSTRAINT `bikes_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `dials` ADD CONSTRAINT `dials_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `part_versions` ADD CONSTRAINT `part_versions_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `rider_skills` ADD CONSTRAINT `rider_skills_trip_id_rider_id_riders_trip_id_id_fk` FOREIGN KEY (`trip_id`,`rider_id`) REFERENCES `riders`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `riders` ADD CONSTRAINT `riders_trip_id_bike_id_bikes_trip_id_id_fk` FOREIGN KEY (`trip_id`,`bike_id`) REFERENCES `bikes`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `roads` ADD CONSTRAINT `roads_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `service_stocks` ADD CONSTRAINT `service_stocks_service` FOREIGN KEY (`trip_id`,`stop_id`,`position`) REFERENCES `services`(`trip_id`,`stop_id`,`position`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `services` ADD CONSTRAINT `services_trip_id_stop_id_stops_trip_id_id_fk` FOREIGN KEY (`trip_id`,`stop_id`) REFERENCES `stops`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `stops` ADD CONSTRAINT `stops_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `stretches` ADD CONSTRAINT `stretches_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `thing_functions` ADD CONSTRAINT `thing_functions_trip_id_thing_id_things_trip_id_id_fk` FOREIGN KEY (`trip_id`,`thing_id`) REFERENCES `things`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `thing_units` ADD CONSTRAINT `thing_units_trip_id_thing_id_things_trip_id_id_fk` FOREIGN KEY (`trip_id`,`thing_id`) REFERENCES `things`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `things` ADD CONSTRAINT `things_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `trips` ADD CONSTRAINT `trips_owner_id_users_id_fk` FOREIGN KEY (`owner_id`) REFERENCES `users`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `sign_in_failures_subject` ON `sign_in_failures` (`subject`,`at`);--> statement-breakpoint
CREATE INDEX `trips_owner` ON `trips` (`owner_id`);