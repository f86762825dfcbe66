-- Parameters: name, version, value (JSON), personId or null, at (UTC).
INSERT INTO setting (name, version, value, person_id, at) VALUES (:name, :version, :value, :personId, :at)
