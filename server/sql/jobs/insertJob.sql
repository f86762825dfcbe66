-- Parameters: id, quadId, kind, title, openedAt (UTC), dueOn or null, bench, plan (JSON), intake (JSON) or null.
INSERT INTO job (id, quad_id, kind, title, opened_at, due_on, bench, plan, plan_version, intake)
VALUES (:id, :quadId, :kind, :title, :openedAt, :dueOn, :bench, :plan, 1, :intake)
