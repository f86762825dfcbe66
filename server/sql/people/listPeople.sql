-- Everybody, by name. Columns: id, name, role, leftAt (UTC or null).
SELECT id, name, role, left_at AS leftAt FROM person ORDER BY name
