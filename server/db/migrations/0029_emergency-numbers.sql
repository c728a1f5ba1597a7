ALTER TABLE `rides` ADD `emergency` varchar(300) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `rides` ADD `who_knows` varchar(300) DEFAULT '' NOT NULL;