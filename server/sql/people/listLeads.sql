-- Leads who have not left, locked until the end of the transaction. Columns: id.
SELECT id FROM person WHERE role = 'lead' AND left_at IS NULL FOR UPDATE
