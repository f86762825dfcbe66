-- Parameters: id, quadId. The part belongs to the quad's customer, and lies ready to go back.
UPDATE part SET owner_id = (SELECT customer_id FROM quad WHERE id = :quadId) WHERE id = :id
