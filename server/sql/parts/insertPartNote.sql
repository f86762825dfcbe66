-- Parameters: id, partId, personId, at (UTC), body (JSON).
INSERT INTO part_note (id, part_id, person_id, at, body) VALUES (:id, :partId, :personId, :at, :body)
