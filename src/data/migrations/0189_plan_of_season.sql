-- A planned batch that stands for one of the season's: which one, so that a new plan moves it and nobody's own.
alter table plan add column season_batch varchar(60) character set ascii null;
