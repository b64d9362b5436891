-- A tote that is pumped out through a hose; a siphon and a drip line draw from a tank as an injector does.
alter table tool
  drop constraint tool_injector,
  modify kind enum('can','knapsack','injector','tote','siphon','drip') not null;
alter table tool
  add constraint tool_inline check ((kind in ('injector','siphon','drip')) = (parts_water is not null));
