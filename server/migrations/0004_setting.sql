CREATE TABLE setting (
  name VARCHAR(80) NOT NULL,
  version INT UNSIGNED NOT NULL,
  value JSON NOT NULL,
  person_id UUID NULL,
  at DATETIME(3) NOT NULL,
  PRIMARY KEY (name, version)
)
