-- Parameter: id. Columns: streamId, replaces, kind, body (JSON), role of whoever made it.
SELECT r.stream_id AS streamId, r.replaces, r.kind, r.body, p.role FROM record r JOIN person p ON p.id = r.person_id WHERE r.id = :id
