-- Parameters: streamId, seq, id, jobId, step, kind, personId, deviceId, shownAt, doneAt, arrivedAt, basisSeq, planVersion, how, replaces,
-- body (JSON), sha256 (32 bytes), judged (JSON or null: what the server found of it). Times UTC.
INSERT INTO record (stream_id, seq, id, job_id, step, kind, person_id, device_id, shown_at, done_at, arrived_at, basis_seq, plan_version,
  how, replaces, body, sha256, judged)
VALUES (:streamId, :seq, :id, :jobId, :step, :kind, :personId, :deviceId, :shownAt, :doneAt, :arrivedAt, :basisSeq, :planVersion,
  :how, :replaces, :body, :sha256, :judged)
