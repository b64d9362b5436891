-- So much for each bed, whatever its size, and for what has none.
alter table application modify mix_rate_per enum('m2','plant','whole') not null;
