ALTER TABLE `stops` ADD `hint` varchar(200) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `stops` ADD `ruled_out` varchar(900) DEFAULT '' NOT NULL;