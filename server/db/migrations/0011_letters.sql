CREATE TABLE `password_letters` (
	`token_hash` char(64) NOT NULL,
	`user_id` char(36) NOT NULL,
	`created_at` datetime NOT NULL,
	CONSTRAINT `password_letters_token_hash` PRIMARY KEY(`token_hash`)
);
--> statement-breakpoint
ALTER TABLE `password_letters` ADD CONSTRAINT `password_letters_user_id_users_id_fk` FOREIGN KEY (`user_id`) REFERENCES `users`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `password_letters_user` ON `password_letters` (`user_id`);