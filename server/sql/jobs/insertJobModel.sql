-- Parameters: modelId, revision, jobId.
INSERT IGNORE INTO job_model (model_id, revision, job_id) VALUES (:modelId, :revision, :jobId)
