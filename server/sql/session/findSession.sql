-- Parameters: tokenHash, now (UTC). Columns: personId, deviceId, name, role.
SELECT p.id AS personId, s.device_id AS deviceId, p.name, p.role
FROM session s JOIN person p ON p.id = s.person_id
WHERE s.token_hash = :tokenHash AND s.expires_at > :now AND p.left_at IS NULL
