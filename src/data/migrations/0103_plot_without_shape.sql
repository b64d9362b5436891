-- How it lies and what grows on it stand in tables of their own; here its present name, free again once it is put away.
alter table plot
  drop constraint plot_area,
  drop column crop, drop column stage, drop column area_m2, drop column plants, drop column leaf_eaten, drop column harvest_on,
  drop column x_m, drop column y_m, drop column width_m, drop column length_m,
  modify name varchar(40) null;
