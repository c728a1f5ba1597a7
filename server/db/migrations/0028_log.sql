CREATE TABLE `log_entries` (
	`trip_id` char(36) NOT NULL,
	`id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`entry` mediumtext NOT NULL,
	CONSTRAINT `log_entries_trip_id_id_pk` PRIMARY KEY(`trip_id`,`id`)
);
--> statement-breakpoint
ALTER TABLE `log_entries` ADD CONSTRAINT `log_entries_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;