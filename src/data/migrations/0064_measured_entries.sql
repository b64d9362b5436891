-- What is counted or measured besides pH and temperature, and what a lens shows.
alter table batch_entry
  modify kind enum('ph','temperature','smell','surface','film','solids','act','note','withdrawn','liquid','texture','warmth','lens','bubbles','sunk','parted','core') not null,
  modify number_value decimal(8,3) null comment 'pH; °C; litres topped up; °C of a place or thermostat; share of the food fed; bubbles a minute; % sunk or parted';
