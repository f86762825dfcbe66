-- All open jobs as they hang on the Floor, those with the nearest due day first.
-- Columns: jobId, quadId, quad, customer, title, bench, dueOn, doc (JSON): how far it is.
SELECT j.id AS jobId, j.quad_id AS quadId, q.name AS quad, c.name AS customer, j.title, j.bench, j.due_on AS dueOn, v.doc
FROM job j JOIN quad q ON q.id = j.quad_id JOIN customer c ON c.id = q.customer_id JOIN job_view v ON v.job_id = j.id
WHERE j.closed_at IS NULL ORDER BY j.due_on IS NULL, j.due_on, j.opened_at
