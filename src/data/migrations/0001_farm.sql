-- One row: how this farm counts, talks and pays.
create table farm (
  id tinyint unsigned not null primary key default 1,
  name varchar(80) not null,
  time_zone varchar(60) not null comment 'IANA name',
  latitude_deg decimal(7,4) not null,
  longitude_deg decimal(7,4) not null,
  units enum('metric','us') not null default 'metric',
  currency varchar(16) not null,
  labour_minor_per_h decimal(10,2) not null comment 'minor money units an hour',
  power_minor_per_kwh decimal(10,2) not null,
  climate_mean_c decimal(4,1) not null comment 'mean air temperature of the year',
  climate_swing_c decimal(4,1) not null comment 'half the difference of warmest and coldest month',
  constraint farm_is_one check (id = 1),
  constraint farm_position check (latitude_deg between -66 and 66 and longitude_deg between -180 and 180)
) engine=innodb default charset=utf8mb4;
