-- Parameter: id. Columns: streamId, seq, arrivedAt, sha256.
SELECT stream_id AS streamId, seq, arrived_at AS arrivedAt, sha256 FROM record WHERE id = :id
