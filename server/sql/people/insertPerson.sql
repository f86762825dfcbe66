-- Parameters: id, name, role, secretHash.
INSERT INTO person (id, name, role, secret_hash, prefs) VALUES (:id, :name, :role, :secretHash, '{}')
