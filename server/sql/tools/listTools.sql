-- Tools in use, by kind, in the order in which the shop got them: the first meter is the one at the bench. Columns: id, kind, name, doc (JSON).
SELECT id, kind, name, doc FROM tool WHERE retired_at IS NULL ORDER BY kind, id
