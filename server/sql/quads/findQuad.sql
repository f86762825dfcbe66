-- Parameter: id. Columns: id, name, customerId, customer, logSeq.
SELECT q.id, q.name, q.customer_id AS customerId, c.name AS customer, q.log_seq AS logSeq
FROM quad q JOIN customer c ON c.id = q.customer_id WHERE q.id = :id
