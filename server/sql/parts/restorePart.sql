-- Parameters: id, origin, condition, fromQuadId or null: what was known of it before it came off.
UPDATE part SET origin = :origin, condition_now = :condition, from_quad_id = :fromQuadId WHERE id = :id
