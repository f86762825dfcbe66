-- Parameters: id, customerId, name.
INSERT INTO quad (id, customer_id, name) VALUES (:id, :customerId, :name)
