ALTER TABLE `nights` ADD `stop_id` varchar(60);--> statement-breakpoint
UPDATE `nights` SET `stop_id` = (SELECT `stops`.`id` FROM `stops` WHERE `stops`.`trip_id` = `nights`.`trip_id` AND ABS(`stops`.`road_km` - `nights`.`road_km`) <= 1 ORDER BY ABS(`stops`.`road_km` - `nights`.`road_km`) LIMIT 1);--> statement-breakpoint
UPDATE `nights` JOIN `stops` ON `stops`.`trip_id` = `nights`.`trip_id` AND `stops`.`id` = `nights`.`stop_id` SET `nights`.`road_km` = `stops`.`road_km`;
