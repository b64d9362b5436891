-- A ready brew is kept on its air; "held" is said of what must not be used for now.
update batch_entry set word = 'kept-on-air' where kind = 'act' and word = 'held-on-air';
