CREATE TABLE `invitations` (
	`id` char(36) NOT NULL,
	`trip_id` char(36) NOT NULL,
	`token_hash` char(64) NOT NULL,
	`role` enum('rider','reader') NOT NULL,
	`rider_id` varchar(60),
	`created_at` datetime NOT NULL,
	CONSTRAINT `invitations_id` PRIMARY KEY(`id`),
	CONSTRAINT `invitations_token_hash_unique` UNIQUE(`token_hash`)
);
--> statement-breakpoint
CREATE TABLE `members` (
	`trip_id` char(36) NOT NULL,
	`user_id` char(36) NOT NULL,
	`role` enum('rider','reader') NOT NULL,
	`rider_id` varchar(60),
	`joined_at` datetime NOT NULL,
	CONSTRAINT `members_trip_id_user_id_pk` PRIMARY KEY(`trip_id`,`user_id`)
);
--> statement-breakpoint
ALTER TABLE `saves` ADD `user_id` char(36);--> statement-breakpoint
ALTER TABLE `saves` ADD `changes` text;--> statement-breakpoint
ALTER TABLE `things` ADD `brought_by` varchar(60);--> statement-breakpoint
ALTER TABLE `trips` ADD `owner_rider` varchar(60);--> statement-breakpoint
ALTER TABLE `invitations` ADD CONSTRAINT `invitations_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `members` ADD CONSTRAINT `members_trip_id_trips_id_fk` FOREIGN KEY (`trip_id`) REFERENCES `trips`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `members` ADD CONSTRAINT `members_user_id_users_id_fk` FOREIGN KEY (`user_id`) REFERENCES `users`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `invitations_trip` ON `invitations` (`trip_id`);--> statement-breakpoint
CREATE INDEX `members_user` ON `members` (`user_id`);--> statement-breakpoint
ALTER TABLE `saves` ADD CONSTRAINT `saves_user_id_users_id_fk` FOREIGN KEY (`user_id`) REFERENCES `users`(`id`) ON DELETE set null ON UPDATE no action;