-- Parameter: prefix, a LIKE pattern. Columns: id, name, contact; by name, 100 at most.
SELECT id, name, contact FROM customer WHERE name LIKE :prefix ORDER BY name LIMIT 100
