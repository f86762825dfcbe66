-- Parameters: id, stockId, recordId or null, personId, at (UTC), delta, why.
INSERT INTO stock_move (id, stock_id, record_id, person_id, at, delta, why) VALUES (:id, :stockId, :recordId, :personId, :at, :delta, :why)
