-- Tools in use, by kind, the one that was taken up last first, then in the order in which the shop got them: the first meter is the one at the bench. Columns: id, kind, name, doc (JSON).
SELECT id, kind, name, doc FROM tool WHERE retired_at IS NULL ORDER BY kind, taken_up_at IS NULL, taken_up_at DESC, id
