ALTER TABLE `riders` ADD `joins_at` varchar(60);--> statement-breakpoint
ALTER TABLE `riders` ADD `leaves_at` varchar(60);