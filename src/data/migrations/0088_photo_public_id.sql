-- A picture's address tells nothing of how many there are, and can't be guessed from another's.
alter table batch_photo add column public_id char(32) character set ascii null after id;
update batch_photo set public_id = lower(hex(random_bytes(16)));
alter table batch_photo modify public_id char(32) character set ascii not null, add unique key batch_photo_public (public_id);
alter table forage_photo add column public_id char(32) character set ascii null after id;
update forage_photo set public_id = lower(hex(random_bytes(16)));
alter table forage_photo modify public_id char(32) character set ascii not null, add unique key forage_photo_public (public_id);
