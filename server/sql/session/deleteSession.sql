-- Parameter: tokenHash.
DELETE FROM session WHERE token_hash = :tokenHash
