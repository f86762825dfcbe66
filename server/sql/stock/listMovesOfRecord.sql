-- Parameter: recordId. Columns: stockId, delta.
SELECT stock_id AS stockId, delta FROM stock_move WHERE record_id = :recordId
