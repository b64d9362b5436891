-- What a station expects of an hour; a later issue takes the place of an earlier one, as nobody asks what was once expected.
create table air_forecast (
  device_id bigint unsigned not null,
  at datetime(3) not null,
  air_c decimal(5,2) not null,
  rain_mm decimal(6,2) not null,
  wind_m_per_s decimal(5,2) not null,
  issued_at datetime(3) not null,
  primary key (device_id, at),
  constraint forecast_device foreign key (device_id) references device (id)
) engine=innodb default charset=utf8mb4;
