CREATE TABLE hand (
  token_hash BINARY(32) PRIMARY KEY,
  person_id UUID NOT NULL,
  device_id UUID NOT NULL,
  given_at DATETIME(3) NOT NULL,
  FOREIGN KEY (person_id) REFERENCES person (id),
  FOREIGN KEY (device_id) REFERENCES device (id)
)
