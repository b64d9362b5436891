-- A forecast is kept as well when the weather or a probe moved it with no line of the log.
alter table batch_forecast
  modify entry_id bigint unsigned null comment 'the line of the log that it answers to; null for the start and where weather or a probe moved it';
