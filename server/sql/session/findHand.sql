-- Parameter: tokenHash. Columns: personId, deviceId, role. Also of people who have left the shop since.
SELECT h.person_id AS personId, h.device_id AS deviceId, p.role
FROM hand h JOIN person p ON p.id = h.person_id
WHERE h.token_hash = :tokenHash
