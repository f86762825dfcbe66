CREATE TABLE stock_move (
  id UUID PRIMARY KEY,
  stock_id UUID NOT NULL,
  record_id UUID NULL,
  person_id UUID NULL,
  at DATETIME(3) NOT NULL,
  delta DOUBLE NOT NULL,
  why VARCHAR(160) NOT NULL,
  KEY stock_move_stock (stock_id, at),
  UNIQUE KEY stock_move_record (record_id, stock_id),
  FOREIGN KEY (stock_id) REFERENCES stock (id)
)
