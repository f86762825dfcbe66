CREATE TABLE session (
  token_hash BINARY(32) PRIMARY KEY,
  person_id UUID NOT NULL,
  device_id UUID NOT NULL,
  expires_at DATETIME(3) NOT NULL,
  KEY session_expiry (expires_at),
  FOREIGN KEY (person_id) REFERENCES person (id),
  FOREIGN KEY (device_id) REFERENCES device (id)
)
