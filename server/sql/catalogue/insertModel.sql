-- Parameters: id, revision, kind, name, doc (JSON), sha256 (32 bytes), personId or null, at (UTC).
INSERT INTO part_model (id, revision, kind, name, doc, sha256, person_id, at) VALUES (:id, :revision, :kind, :name, :doc, :sha256, :personId, :at)
