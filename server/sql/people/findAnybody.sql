-- Parameter: name. Columns: id, role, leftAt (UTC or null); also who has left.
SELECT id, role, left_at AS leftAt FROM person WHERE name = :name
