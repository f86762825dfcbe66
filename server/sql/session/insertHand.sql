-- Parameters: tokenHash (32 bytes), personId, deviceId, givenAt (UTC).
INSERT INTO hand (token_hash, person_id, device_id, given_at) VALUES (:tokenHash, :personId, :deviceId, :givenAt)
