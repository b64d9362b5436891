-- Part of a store may go to the shed, to serve as an ingredient.
alter table store_movement
  modify kind enum('strained','applied','wasted','corrected','moved') not null;
