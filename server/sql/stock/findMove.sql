-- Parameter: id of a move. Columns: id, stockId.
SELECT id, stock_id AS stockId FROM stock_move WHERE id = :id
