-- Why a figure is kept apart is a code with its figures; the words are the screen's.
alter table device_reading
  add column jumped_by decimal(8,3) null comment 'in the unit of its quantity' after set_aside,
  add column jumped_in_h decimal(8,2) null after jumped_by;
update device_reading
set set_aside = case
  when set_aside like 'jumped%' then 'jumped'
  when set_aside like 'its clock%' then 'clock-ahead'
  when set_aside like 'more than a year%' then 'too-late'
  else 'impossible'
end
where set_aside is not null;
alter table device_reading modify set_aside varchar(20) character set ascii null comment 'code of why it is not used; null where it is';
