-- What something goes on that lies nowhere on the plan is kept as a plot of its own kind, so that its past is kept as any plot's.
alter table plot_shape
  modify kind enum('bed','row','tree','pots','bay','lawn','heap','path','potting-mix','houseplants','compost-bin','bedding','char','septic') not null;
