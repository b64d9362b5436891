alter table application
  add column blend_id bigint unsigned null,
  add column depth_cm decimal(5,1) null comment 'how deep a solid was worked in',
  add constraint application_blend foreign key (blend_id) references blend (id);
