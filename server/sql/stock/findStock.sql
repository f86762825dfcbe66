-- Parameter: id. Columns: place, doc (JSON).
SELECT place, doc FROM stock WHERE id = :id
