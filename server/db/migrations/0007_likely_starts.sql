UPDATE `rides` SET `start_wall` = NULL WHERE `start_wall` < '1900' OR `start_wall` >= '2200';
