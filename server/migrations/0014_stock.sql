CREATE TABLE stock (
  id UUID PRIMARY KEY,
  stock_key VARCHAR(120) NOT NULL,
  name VARCHAR(160) NOT NULL,
  unit ENUM('pieces', 'mm', 'g') NOT NULL,
  offcut BOOLEAN NOT NULL,
  place VARCHAR(80) NOT NULL,
  doc JSON NOT NULL,
  on_hand DOUBLE NOT NULL DEFAULT 0,
  KEY stock_by_key (stock_key)
)
