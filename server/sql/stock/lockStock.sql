-- Parameter: id. Columns: id, onHand. Locks the row.
SELECT id, on_hand AS onHand FROM stock WHERE id = :id FOR UPDATE
