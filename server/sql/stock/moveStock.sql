-- Parameters: id, delta.
UPDATE stock SET on_hand = on_hand + :delta WHERE id = :id
