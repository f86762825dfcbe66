CREATE TABLE job_view (
  job_id UUID PRIMARY KEY,
  seq BIGINT UNSIGNED NOT NULL,
  plan_version INT UNSIGNED NOT NULL,
  core_version VARCHAR(40) NOT NULL,
  doc JSON NOT NULL,
  FOREIGN KEY (job_id) REFERENCES job (id)
)
