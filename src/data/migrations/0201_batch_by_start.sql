-- A season's batches are found by their start.
alter table batch add key batch_by_start (started_at);
