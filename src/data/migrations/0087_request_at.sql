-- Keys are kept as long as a phone may be away, then swept by their age.
alter table request add key request_at (at)
