-- Parameter: id. Columns: streamId, seq, arrivedAt, sha256, judged (JSON or null).
SELECT stream_id AS streamId, seq, arrived_at AS arrivedAt, sha256, judged FROM record WHERE id = :id
