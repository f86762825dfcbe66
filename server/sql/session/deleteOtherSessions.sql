-- Parameters: personId, tokenHash. All of a person but this one.
DELETE FROM session WHERE person_id = :personId AND token_hash <> :tokenHash
