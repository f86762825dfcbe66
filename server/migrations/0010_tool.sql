CREATE TABLE tool (
  id UUID PRIMARY KEY,
  kind ENUM('iron', 'tip', 'meter', 'limiter', 'supply', 'scale', 'camera') NOT NULL,
  name VARCHAR(120) NOT NULL,
  doc JSON NOT NULL,
  retired_at DATETIME(3) NULL
)
