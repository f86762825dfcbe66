-- Tools in use, by kind and name. Columns: id, kind, name, doc (JSON).
SELECT id, kind, name, doc FROM tool WHERE retired_at IS NULL ORDER BY kind, name
