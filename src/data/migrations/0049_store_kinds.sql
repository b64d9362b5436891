alter table store_movement
  modify kind enum('strained','applied','wasted','corrected','moved','composted','bare-ground','poured','counted') not null;
