-- Parameters: id, at.
UPDATE tool SET taken_up_at = :at WHERE id = :id AND retired_at IS NULL
