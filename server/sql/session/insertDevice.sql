-- Parameters: id, label. A device that is known keeps its label.
INSERT IGNORE INTO device (id, label) VALUES (:id, :label)
