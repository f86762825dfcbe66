-- Parameters: id, at (UTC). Only once.
UPDATE person SET left_at = :at WHERE id = :id AND left_at IS NULL
