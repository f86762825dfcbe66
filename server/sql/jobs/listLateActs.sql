-- Quads on which acts came in after their job was closed, and which have had no job since.
-- Columns: quadId, quad, title (of the job that was closed), acts (how many), person (one of those who made them).
SELECT q.id AS quadId, q.name AS quad, j.title, COUNT(*) AS acts, MAX(p.name) AS person
FROM job j JOIN record r ON r.job_id = j.id AND r.arrived_at > j.closed_at JOIN quad q ON q.id = j.quad_id
  JOIN person p ON p.id = r.person_id
WHERE j.closed_at IS NOT NULL AND JSON_VALUE(r.body, '$.do') IS NOT NULL
  AND NOT EXISTS (SELECT 1 FROM job later WHERE later.quad_id = j.quad_id AND later.opened_at > r.arrived_at)
GROUP BY q.id, q.name, j.id, j.title ORDER BY q.name LIMIT 20
