-- One figure of one device at one moment; posted again it is the same row. What can't be is kept apart, with why.
create table device_reading (
  id bigint unsigned not null auto_increment primary key,
  device_id bigint unsigned not null,
  quantity enum('air','liquid','core','ph','rain','wind') not null comment '°C, °C, °C, pH, mm in the hour, m/s',
  at datetime(3) not null,
  value decimal(8,3) not null,
  set_aside varchar(120) null comment 'why it is not used; null where it is',
  received_at datetime(3) not null,
  unique key reading_once (device_id, quantity, at),
  key reading_by_time (quantity, at),
  constraint reading_device foreign key (device_id) references device (id)
) engine=innodb default charset=utf8mb4;
