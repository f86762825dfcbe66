-- Parameters: id, secretHash. Of nobody who has left.
UPDATE person SET secret_hash = :secretHash WHERE id = :id AND left_at IS NULL
