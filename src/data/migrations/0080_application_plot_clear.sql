-- The day from which the plot may be harvested again by the rules that stood when it was treated; null where nothing was carried.
alter table application_plot add column clear_on date null after concentrate_l;
