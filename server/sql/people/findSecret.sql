-- Parameter: id. Column: secretHash; of nobody who has left.
SELECT secret_hash AS secretHash FROM person WHERE id = :id AND left_at IS NULL
