-- Every revision of every part model. Column: doc (JSON).
SELECT doc FROM part_model ORDER BY id, revision
