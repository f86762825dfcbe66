-- Parameter: id. Columns: id, name, plan (JSON).
SELECT id, name, plan FROM template WHERE id = :id
