-- Parameters: id, closedAt (UTC). Only an open job.
UPDATE job SET closed_at = :closedAt WHERE id = :id AND closed_at IS NULL
