-- Parameters: id, key, name, unit, offcut (0 or 1), place, doc (JSON).
INSERT INTO stock (id, stock_key, name, unit, offcut, place, doc) VALUES (:id, :key, :name, :unit, :offcut, :place, :doc)
