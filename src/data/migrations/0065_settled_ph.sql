-- A pH read before the meter came to rest is kept, and is not the batch's. Older lines are taken at their word.
alter table batch_entry add column settled boolean null after spot;
