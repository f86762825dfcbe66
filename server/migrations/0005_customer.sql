CREATE TABLE customer (
  id UUID PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  contact VARCHAR(2000) NOT NULL,
  KEY customer_name (name)
)
