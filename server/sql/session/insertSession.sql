-- Parameters: tokenHash (32 bytes), personId, deviceId, expiresAt (UTC).
INSERT INTO session (token_hash, person_id, device_id, expires_at) VALUES (:tokenHash, :personId, :deviceId, :expiresAt)
