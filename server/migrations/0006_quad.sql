CREATE TABLE quad (
  id UUID PRIMARY KEY,
  customer_id UUID NOT NULL,
  name VARCHAR(120) NOT NULL,
  log_seq BIGINT UNSIGNED NOT NULL DEFAULT 0,
  KEY quad_name (name),
  FOREIGN KEY (customer_id) REFERENCES customer (id)
)
