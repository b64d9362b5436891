-- Castings, mash and crushed shell are weighed, not measured in litres.
alter table batch_close
  add column yield_kg decimal(10,3) null after yield_l,
  drop constraint close_yield,
  add constraint close_yields check (
    (kind = 'strained' and (yield_l > 0 or yield_kg > 0)) or (kind = 'discarded' and yield_l = 0 and yield_kg is null)
  );
