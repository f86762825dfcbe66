-- Parameter: id. Columns: mime, bytes.
SELECT mime, bytes FROM picture WHERE id = :id
