-- All open jobs, those with the nearest due day first. Columns as of findJob.
SELECT j.id, j.quad_id AS quadId, q.name AS quad, c.name AS customer, j.kind, j.title, j.opened_at AS openedAt, j.due_on AS dueOn,
  j.bench, j.plan, j.plan_version AS planVersion, j.intake, j.closed_at AS closedAt
FROM job j JOIN quad q ON q.id = j.quad_id JOIN customer c ON c.id = q.customer_id
WHERE j.closed_at IS NULL ORDER BY j.due_on IS NULL, j.due_on, j.opened_at
