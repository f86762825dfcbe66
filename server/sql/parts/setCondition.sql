-- Parameters: id, condition.
UPDATE part SET condition_now = :condition WHERE id = :id
