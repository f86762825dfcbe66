-- Parameters: id, intake (JSON).
UPDATE job SET intake = :intake WHERE id = :id
