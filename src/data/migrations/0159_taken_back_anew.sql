-- An application that was entered for another time stands anew: the one that was wrong names it.
alter table application_taken_back
  add column anew_id bigint unsigned null after reason,
  add constraint taken_back_anew foreign key (anew_id) references application (id);
