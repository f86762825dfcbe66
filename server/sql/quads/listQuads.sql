-- Parameter: prefix, a LIKE pattern on the quad's name. Columns: id, name, customerId, customer, openJobId; by name, 100 at most.
SELECT q.id, q.name, q.customer_id AS customerId, c.name AS customer, j.id AS openJobId
FROM quad q JOIN customer c ON c.id = q.customer_id LEFT JOIN job j ON j.open_quad_id = q.id
WHERE q.name LIKE :prefix ORDER BY q.name LIMIT 100
