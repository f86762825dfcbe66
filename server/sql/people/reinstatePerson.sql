-- Parameters: id, role, secretHash. Somebody who had left works here again.
UPDATE person SET left_at = NULL, role = :role, secret_hash = :secretHash WHERE id = :id AND left_at IS NOT NULL
