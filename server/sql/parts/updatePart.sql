-- Parameters: id, condition, firmware, weightG: null leaves what is there.
UPDATE part SET condition_now = COALESCE(:condition, condition_now), firmware = COALESCE(:firmware, firmware), weight_g = COALESCE(:weightG, weight_g) WHERE id = :id
