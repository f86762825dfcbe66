-- Parameters: model, serial. Columns: id, onQuad (name, null in the shop). Two parts of one model never have one serial.
SELECT p.id, o.name AS onQuad FROM part p LEFT JOIN quad o ON o.id = p.on_quad_id WHERE p.model_id = :model AND p.serial = :serial LIMIT 1
