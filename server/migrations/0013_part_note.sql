CREATE TABLE part_note (
  id UUID PRIMARY KEY,
  part_id UUID NOT NULL,
  person_id UUID NOT NULL,
  at DATETIME(3) NOT NULL,
  body JSON NOT NULL,
  KEY part_note_part (part_id, at),
  FOREIGN KEY (part_id) REFERENCES part (id)
)
