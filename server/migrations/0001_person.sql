CREATE TABLE person (
  id UUID PRIMARY KEY,
  name VARCHAR(120) NOT NULL UNIQUE,
  role ENUM('technician', 'lead') NOT NULL,
  secret_hash VARCHAR(255) NOT NULL,
  prefs JSON NOT NULL,
  left_at DATETIME(3) NULL
)
