-- Water may be set aside without a thermometer at hand: then its clock goes by the slow case, and no reading is made up.
alter table water_start modify celsius decimal(4,1) null;
