-- Parameters: id, quadId or null (in the shop).
UPDATE part SET on_quad_id = :quadId WHERE id = :id
