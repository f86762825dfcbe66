CREATE TABLE plan_change (
  job_id UUID NOT NULL,
  version INT UNSIGNED NOT NULL,
  person_id UUID NOT NULL,
  at DATETIME(3) NOT NULL,
  changes JSON NOT NULL,
  PRIMARY KEY (job_id, version),
  FOREIGN KEY (job_id) REFERENCES job (id)
)
