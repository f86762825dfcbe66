-- What the Floor's rows stand on and should stand on. Columns: jobId, planVersion, logSeq, dueOn, viewSeq, viewPlanVersion,
-- viewCoreVersion; open jobs, nearest due day first.
SELECT j.id AS jobId, j.plan_version AS planVersion, q.log_seq AS logSeq, j.due_on AS dueOn,
  v.seq AS viewSeq, v.plan_version AS viewPlanVersion, v.core_version AS viewCoreVersion
FROM job j JOIN quad q ON q.id = j.quad_id LEFT JOIN job_view v ON v.job_id = j.id
WHERE j.closed_at IS NULL ORDER BY j.due_on IS NULL, j.due_on, j.opened_at
