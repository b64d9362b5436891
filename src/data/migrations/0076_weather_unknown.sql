-- A station may expect the air alone: rain and wind are then not known, which is not the same as none.
alter table air_forecast
  modify rain_mm decimal(6,2) null,
  modify wind_m_per_s decimal(5,2) null;
