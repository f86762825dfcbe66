-- Parameter: modelId. Columns: jobId, quadId, quad, title, revision, closedAt; newest first, 100 at most.
SELECT j.id AS jobId, q.id AS quadId, q.name AS quad, j.title, m.revision, j.closed_at AS closedAt
FROM job_model m JOIN job j ON j.id = m.job_id JOIN quad q ON q.id = j.quad_id WHERE m.model_id = :modelId ORDER BY j.opened_at DESC LIMIT 100
