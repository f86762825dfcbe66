-- Parameters: id, name, contact.
INSERT INTO customer (id, name, contact) VALUES (:id, :name, :contact)
