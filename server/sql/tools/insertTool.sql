-- Parameters: id, kind, name, doc (JSON).
INSERT INTO tool (id, kind, name, doc) VALUES (:id, :kind, :name, :doc)
