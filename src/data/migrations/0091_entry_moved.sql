-- What went into a running batch or was drawn off it is told in figures; the words are the screen's. Older entries keep their note.
alter table batch_entry
  add column moved_item_id varchar(40) character set ascii null after note,
  add column moved_amount decimal(12,3) null comment 'in the stock unit of the item; litres of the batch itself where there is none' after moved_item_id;
