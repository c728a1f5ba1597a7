ALTER TABLE `dials` ADD `budget_money` int;--> statement-breakpoint
ALTER TABLE `things` ADD `owned` int DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE `things` SET `owned` = `count` WHERE `shed_id` IS NOT NULL;
