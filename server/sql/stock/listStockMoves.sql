-- Parameter: stockId. Columns: at, delta, why, person, newest first, 50 at most.
SELECT m.at, m.delta, m.why, p.name AS person FROM stock_move m LEFT JOIN person p ON p.id = m.person_id WHERE m.stock_id = :stockId ORDER BY m.at DESC LIMIT 50
