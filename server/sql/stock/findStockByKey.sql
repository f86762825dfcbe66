-- Parameter: key. Columns: id, onHand of the line that is no offcut. Locks the row.
SELECT id, on_hand AS onHand FROM stock WHERE stock_key = :key AND NOT offcut ORDER BY id LIMIT 1 FOR UPDATE
