CREATE TABLE `rider_practice` (
	`trip_id` char(36) NOT NULL,
	`rider_id` varchar(60) NOT NULL,
	`position` int NOT NULL,
	`technique` varchar(60) NOT NULL,
	`level` int NOT NULL,
	`on_day` char(10),
	CONSTRAINT `rider_practice_trip_id_rider_id_position_pk` PRIMARY KEY(`trip_id`,`rider_id`,`position`)
);
--> statement-breakpoint
ALTER TABLE `riders` ADD `hand_most_n` double;--> statement-breakpoint
ALTER TABLE `riders` ADD `load_g` double;--> statement-breakpoint
ALTER TABLE `riders` ADD `carries_most_g` double;--> statement-breakpoint
ALTER TABLE `riders` ADD `carries_most_ml` double;--> statement-breakpoint
ALTER TABLE `riders` ADD `share` double DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `rides` ADD `apart` double DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `stretches` ADD `apart` double;--> statement-breakpoint
ALTER TABLE `rider_practice` ADD CONSTRAINT `rider_practice_trip_id_rider_id_riders_trip_id_id_fk` FOREIGN KEY (`trip_id`,`rider_id`) REFERENCES `riders`(`trip_id`,`id`) ON DELETE cascade ON UPDATE no action;