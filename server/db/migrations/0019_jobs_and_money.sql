ALTER TABLE `dials` ADD `home_share` double DEFAULT 0.05 NOT NULL;--> statement-breakpoint
ALTER TABLE `dials` ADD `currency` char(3) DEFAULT 'EUR' NOT NULL;--> statement-breakpoint
ALTER TABLE `dials` ADD `money_per_hour` int DEFAULT 3000;