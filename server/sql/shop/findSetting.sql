-- Parameter: name. Column: value (JSON), the newest.
SELECT value FROM setting WHERE name = :name ORDER BY version DESC LIMIT 1
