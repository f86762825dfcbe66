-- Parameter: customerId. Columns: id, name, customerId, customer, openJobId; by name.
SELECT q.id, q.name, q.customer_id AS customerId, c.name AS customer, j.id AS openJobId
FROM quad q JOIN customer c ON c.id = q.customer_id LEFT JOIN job j ON j.open_quad_id = q.id
WHERE q.customer_id = :customerId ORDER BY q.name
