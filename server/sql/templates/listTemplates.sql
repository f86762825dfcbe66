-- Columns: id, name, madeAt, person (who kept it); by name.
SELECT t.id, t.name, t.made_at AS madeAt, p.name AS person FROM template t JOIN person p ON p.id = t.person_id ORDER BY t.name
