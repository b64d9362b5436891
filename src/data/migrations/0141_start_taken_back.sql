-- A batch that was started by a slip ends as one that never was.
alter table batch_close
  modify kind enum('strained','discarded','taken-back') not null,
  drop constraint close_yields,
  add constraint close_yields check (
    (kind = 'strained' and (yield_l > 0 or yield_kg > 0)) or (kind <> 'strained' and yield_l = 0 and yield_kg is null)
  );
