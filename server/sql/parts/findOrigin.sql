-- Parameter: id. Columns: origin, condition, fromQuadId.
SELECT origin, condition_now AS `condition`, from_quad_id AS fromQuadId FROM part WHERE id = :id
