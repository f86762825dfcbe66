-- Parameter: id. Columns: id, name, contact.
SELECT id, name, contact FROM customer WHERE id = :id
