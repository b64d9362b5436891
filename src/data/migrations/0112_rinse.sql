-- What the solids and the vessel were rinsed with, and where the rinse went: with the liquid it thins it.
alter table batch_close
  add column rinse_l decimal(10,3) null,
  add column rinse_to enum('in','bed','compost','trees') null,
  add constraint close_rinse check ((rinse_l is null) = (rinse_to is null));
