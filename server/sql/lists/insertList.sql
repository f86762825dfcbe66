-- Parameters: basis, at, doc (JSON): what is worked out from the same basis twice is the same.
INSERT IGNORE INTO touch_list (basis, made_at, doc) VALUES (:basis, :at, :doc)
