-- Parameters: jobId, version, personId, at (UTC), changes (JSON). The key (jobId, version) refuses a second writer.
INSERT INTO plan_change (job_id, version, person_id, at, changes) VALUES (:jobId, :version, :personId, :at, :changes)
