-- The plan asks what went on lately, and which plots wait for a harvest day: both by date.
alter table application add key application_at (at);
alter table application_plot add key plot_clear (clear_on, plot_id);
