-- What the liquid carried when it went out (dung, urine, milk, unwashed leaf), by code; the interval before harvest hangs on it.
alter table application add column carries varchar(80) not null default '' after concentrate_l;
