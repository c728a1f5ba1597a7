CREATE TABLE `shed_things` (
	`user_id` char(36) NOT NULL,
	`id` varchar(60) NOT NULL,
	`version` char(36) NOT NULL,
	`thing` mediumtext NOT NULL,
	CONSTRAINT `shed_things_user_id_id_pk` PRIMARY KEY(`user_id`,`id`)
);
--> statement-breakpoint
ALTER TABLE `things` ADD `shed_id` varchar(60);--> statement-breakpoint
ALTER TABLE `shed_things` ADD CONSTRAINT `shed_things_user_id_users_id_fk` FOREIGN KEY (`user_id`) REFERENCES `users`(`id`) ON DELETE cascade ON UPDATE no action;