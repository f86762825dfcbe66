-- Parameters: id, quadId, origin, condition. The part comes off a quad, back into the shop.
UPDATE part SET on_quad_id = NULL, from_quad_id = :quadId, origin = :origin, condition_now = :condition WHERE id = :id
