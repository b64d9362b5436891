-- Makes room for the guard that keeps the balance.
drop trigger stock_movement_guard;
