-- Text is equal where it is the very same, from here on: large and small letters, accents, emoji, blanks at the end.
ALTER TABLE `bikes` DROP FOREIGN KEY `bikes_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `dials` DROP FOREIGN KEY `dials_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `forecasts` DROP FOREIGN KEY `forecasts_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `nights` DROP FOREIGN KEY `nights_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `part_versions` DROP FOREIGN KEY `part_versions_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `rider_skills` DROP FOREIGN KEY `rider_skills_trip_id_rider_id_riders_trip_id_id_fk`;
--> statement-breakpoint
ALTER TABLE `riders` DROP FOREIGN KEY `riders_trip_id_bike_id_bikes_trip_id_id_fk`;
--> statement-breakpoint
ALTER TABLE `rides` DROP FOREIGN KEY `rides_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `roads` DROP FOREIGN KEY `roads_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `saves` DROP FOREIGN KEY `saves_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `service_parcels` DROP FOREIGN KEY `service_parcels_service`;
--> statement-breakpoint
ALTER TABLE `service_stocks` DROP FOREIGN KEY `service_stocks_service`;
--> statement-breakpoint
ALTER TABLE `services` DROP FOREIGN KEY `services_trip_id_stop_id_stops_trip_id_id_fk`;
--> statement-breakpoint
ALTER TABLE `stops` DROP FOREIGN KEY `stops_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `stretches` DROP FOREIGN KEY `stretches_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `thing_functions` DROP FOREIGN KEY `thing_functions_trip_id_thing_id_things_trip_id_id_fk`;
--> statement-breakpoint
ALTER TABLE `thing_units` DROP FOREIGN KEY `thing_units_trip_id_thing_id_things_trip_id_id_fk`;
--> statement-breakpoint
ALTER TABLE `things` DROP FOREIGN KEY `things_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER TABLE `trips` DROP FOREIGN KEY `trips_owner_id_users_id_fk`;
--> statement-breakpoint
ALTER TABLE `weather_days` DROP FOREIGN KEY `weather_days_trip_id_trips_id_fk`;
--> statement-breakpoint
ALTER DATABASE CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `users` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `sign_in_failures` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `trips` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `part_versions` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `saves` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `roads` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `stretches` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `rides` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `nights` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `forecasts` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `weather_days` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `stops` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `services` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `service_stocks` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `service_parcels` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `bikes` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `riders` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `rider_skills` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `things` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `thing_functions` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `thing_units` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `dials` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `bikes` ADD CONSTRAINT `bikes_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `dials` ADD CONSTRAINT `dials_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `forecasts` ADD CONSTRAINT `forecasts_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `nights` ADD CONSTRAINT `nights_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `part_versions` ADD CONSTRAINT `part_versions_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `rider_skills` ADD CONSTRAINT `rider_skills_trip_id_rider_id_riders_trip_id_id_fk` FOREIGN KEY (`trip_id`,`rider_id`) REFERENCES `riders`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `riders` ADD CONSTRAINT `riders_trip_id_bike_id_bikes_trip_id_id_fk` FOREIGN KEY (`trip_id`,`bike_id`) REFERENCES `bikes`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `rides` ADD CONSTRAINT `rides_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `roads` ADD CONSTRAINT `roads_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `saves` ADD CONSTRAINT `saves_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `service_parcels` ADD CONSTRAINT `service_parcels_service` FOREIGN KEY (`trip_id`,`stop_id`,`position`) REFERENCES `services`(`trip_id`,`stop_id`,`position`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `service_stocks` ADD CONSTRAINT `service_stocks_service` FOREIGN KEY (`trip_id`,`stop_id`,`position`) REFERENCES `services`(`trip_id`,`stop_id`,`position`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `services` ADD CONSTRAINT `services_trip_id_stop_id_stops_trip_id_id_fk` FOREIGN KEY (`trip_id`,`stop_id`) REFERENCES `stops`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `stops` ADD CONSTRAINT `stops_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `stretches` ADD CONSTRAINT `stretches_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `thing_functions` ADD CONSTRAINT `thing_functions_trip_id_thing_id_things_trip_id_id_fk` FOREIGN KEY (`trip_id`,`thing_id`) REFERENCES `things`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `thing_units` ADD CONSTRAINT `thing_units_trip_id_thing_id_things_trip_id_id_fk` FOREIGN KEY (`trip_id`,`thing_id`) REFERENCES `things`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `things` ADD CONSTRAINT `things_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `trips` ADD CONSTRAINT `trips_owner_id_users_id_fk` FOREIGN KEY (`owner_id`) REFERENCES `users`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `weather_days` ADD CONSTRAINT `weather_days_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
UPDATE `users` SET `name` = REGEXP_REPLACE(`name`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `name` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `trips` SET `name` = REGEXP_REPLACE(`name`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `name` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `roads` SET `name` = REGEXP_REPLACE(`name`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `name` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `forecasts` SET `said_by` = REGEXP_REPLACE(`said_by`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `said_by` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `stops` SET `name` = REGEXP_REPLACE(`name`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `name` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `stops` SET `note` = REGEXP_REPLACE(`note`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `note` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `services` SET `hours` = REGEXP_REPLACE(`hours`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `hours` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `bikes` SET `name` = REGEXP_REPLACE(`name`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `name` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `riders` SET `name` = REGEXP_REPLACE(`name`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `name` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `things` SET `name` = REGEXP_REPLACE(`name`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `name` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `things` SET `note` = REGEXP_REPLACE(`note`, '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]', '') WHERE `note` REGEXP '[\\x{00}-\\x{08}\\x{0B}\\x{0C}\\x{0E}-\\x{1F}\\x{FFFE}\\x{FFFF}]';
--> statement-breakpoint
UPDATE `bikes` SET `passport` = REGEXP_REPLACE(`passport`, '(?<!\\\\)\\\\(u(00(0[0-8bcef]|1[0-9a-f])|d[89a-f][0-9a-f]{2}|fff[ef])|[bf])', '') WHERE `passport` REGEXP '(?<!\\\\)\\\\(u(00(0[0-8bcef]|1[0-9a-f])|d[89a-f][0-9a-f]{2}|fff[ef])|[bf])';
