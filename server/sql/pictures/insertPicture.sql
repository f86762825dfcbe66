-- Parameters: id, mime, bytes, sha256, width, height, personId, at (UTC).
INSERT INTO picture (id, mime, bytes, sha256, width, height, person_id, at) VALUES (:id, :mime, :bytes, :sha256, :width, :height, :personId, :at)
