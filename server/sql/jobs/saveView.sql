-- Parameters: jobId, seq, planVersion, coreVersion, doc (JSON): how far the job is, and what that stands on.
INSERT INTO job_view (job_id, seq, plan_version, core_version, doc) VALUES (:jobId, :seq, :planVersion, :coreVersion, :doc)
ON DUPLICATE KEY UPDATE seq = VALUES(seq), plan_version = VALUES(plan_version), core_version = VALUES(core_version), doc = VALUES(doc)
