-- Weekdays without work (Monday 0), hours by person, and what is not to be begun where: lists, as the season reads them.
alter table season_terms
  add column closed_weekdays json not null default '[]' check (json_valid(closed_weekdays)),
  add column hands json not null default '[]' check (json_valid(hands)),
  add column forbidden json not null default '[]' check (json_valid(forbidden));
