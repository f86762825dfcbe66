-- Parameter: id. Columns as of listParts.
SELECT p.id, p.model_id AS model, p.revision, p.serial, p.batch, p.owner_id AS ownerId, c.name AS owner, p.origin, f.name AS fromQuad, o.name AS onQuad,
  p.condition_now AS `condition`, p.firmware, p.weight_g AS weightG, p.made_at AS madeAt
FROM part p LEFT JOIN customer c ON c.id = p.owner_id LEFT JOIN quad f ON f.id = p.from_quad_id LEFT JOIN quad o ON o.id = p.on_quad_id WHERE p.id = :id
