-- Solid starters, heaps and settled liquids are judged by more than smell and surface.
alter table batch_entry
  modify kind enum('ph','temperature','smell','surface','film','solids','act','note','withdrawn','liquid','texture','warmth') not null;
