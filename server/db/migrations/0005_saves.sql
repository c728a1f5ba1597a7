CREATE TABLE `saves` (
	`trip_id` char(36) NOT NULL,
	`save` char(36) NOT NULL,
	`at` datetime(3) NOT NULL,
	`made` text NOT NULL,
	CONSTRAINT `saves_trip_id_save_pk` PRIMARY KEY(`trip_id`,`save`)
);
--> statement-breakpoint
ALTER TABLE `part_versions` ADD `save` varchar(36) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `saves` ADD CONSTRAINT `saves_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;