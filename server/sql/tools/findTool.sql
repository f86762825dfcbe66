-- Parameters: name. Columns: id.
SELECT id FROM tool WHERE name = :name AND retired_at IS NULL
