CREATE TABLE template (
  id UUID PRIMARY KEY,
  name VARCHAR(120) NOT NULL UNIQUE,
  person_id UUID NOT NULL,
  made_at DATETIME(3) NOT NULL,
  plan JSON NOT NULL,
  FOREIGN KEY (person_id) REFERENCES person (id)
)
