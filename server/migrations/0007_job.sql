CREATE TABLE job (
  id UUID PRIMARY KEY,
  quad_id UUID NOT NULL,
  kind ENUM('new', 'conversion', 'repair', 'refit') NOT NULL,
  title VARCHAR(120) NOT NULL,
  opened_at DATETIME(3) NOT NULL,
  due_on DATE NULL,
  bench TINYINT UNSIGNED NOT NULL,
  plan JSON NOT NULL,
  plan_version INT UNSIGNED NOT NULL,
  closed_at DATETIME(3) NULL,
  open_quad_id UUID GENERATED ALWAYS AS (IF(closed_at IS NULL, quad_id, NULL)) STORED UNIQUE,
  KEY job_open (closed_at, due_on),
  FOREIGN KEY (quad_id) REFERENCES quad (id)
)
