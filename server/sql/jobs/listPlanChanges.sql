-- Parameter: jobId. Columns: version, person, at, changes (JSON); oldest first.
SELECT c.version, p.name AS person, c.at, c.changes FROM plan_change c JOIN person p ON p.id = c.person_id WHERE c.job_id = :jobId ORDER BY c.version
