-- Parameter: quadId. Column: id; a quad has one open job at most.
SELECT id FROM job WHERE open_quad_id = :quadId
