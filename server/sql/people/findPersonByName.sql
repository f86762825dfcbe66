-- Parameter: name. Columns: id, name, role, secretHash; nobody who has left.
SELECT id, name, role, secret_hash AS secretHash FROM person WHERE name = :name AND left_at IS NULL
