CREATE TABLE job_model (
  model_id VARCHAR(80) NOT NULL,
  revision INT UNSIGNED NOT NULL,
  job_id UUID NOT NULL,
  PRIMARY KEY (model_id, revision, job_id),
  FOREIGN KEY (job_id) REFERENCES job (id)
) AS
SELECT DISTINCT used.model_id, used.revision, job.id AS job_id
FROM job, JSON_TABLE(JSON_EXTRACT(job.plan, '$.target.slots.*'), '$[*]' COLUMNS (model_id VARCHAR(80) PATH '$.model', revision INT PATH '$.revision')) AS used
WHERE used.model_id IS NOT NULL
