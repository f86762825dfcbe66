-- Parameters: streamId, after (a seq). Everything later, by seq. Columns of the record and person, the name.
SELECT r.stream_id AS quadId, r.seq, r.id, r.job_id AS jobId, r.step, r.person_id AS personId, p.name AS person, r.device_id AS deviceId,
  r.shown_at AS shownAt, r.done_at AS doneAt, r.arrived_at AS arrivedAt, r.basis_seq AS basisSeq, r.plan_version AS planVersion, r.how,
  r.replaces, r.body, r.judged
FROM record r JOIN person p ON p.id = r.person_id
WHERE r.stream_id = :streamId AND r.seq > :after ORDER BY r.seq
