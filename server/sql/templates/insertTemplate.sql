-- Parameters: id, name, personId, madeAt (UTC), plan (JSON).
INSERT INTO template (id, name, person_id, made_at, plan) VALUES (:id, :name, :personId, :madeAt, :plan)
