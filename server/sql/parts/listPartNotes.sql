-- Parameter: partId. Columns: id, person, at, body (JSON), oldest first.
SELECT n.id, p.name AS person, n.at, n.body FROM part_note n JOIN person p ON p.id = n.person_id WHERE n.part_id = :partId ORDER BY n.at, n.id
