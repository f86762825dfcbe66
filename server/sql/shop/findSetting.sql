-- Parameter: name. Columns: value (JSON), version, the newest.
SELECT value, version FROM setting WHERE name = :name ORDER BY version DESC LIMIT 1
