-- Parameters: id, modelId, revision, serial, batch, ownerId, origin, fromQuadId, condition, firmware, weightG, at (UTC); all but id, model and at may be null.
INSERT INTO part (id, model_id, revision, serial, batch, owner_id, origin, from_quad_id, condition_now, firmware, weight_g, made_at)
VALUES (:id, :modelId, :revision, :serial, :batch, :ownerId, :origin, :fromQuadId, :condition, :firmware, :weightG, :at)
