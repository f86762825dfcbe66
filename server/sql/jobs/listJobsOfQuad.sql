-- Parameter: quadId. Columns: id, kind, title, openedAt, dueOn, bench, closedAt; newest first.
SELECT id, kind, title, opened_at AS openedAt, due_on AS dueOn, bench, closed_at AS closedAt FROM job WHERE quad_id = :quadId ORDER BY opened_at DESC
