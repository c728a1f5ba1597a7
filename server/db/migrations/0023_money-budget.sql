ALTER TABLE `dials` ADD `budget_money` int;--> statement-breakpoint
ALTER TABLE `things` ADD `owned` int;