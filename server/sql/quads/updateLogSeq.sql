-- Parameters: id, logSeq.
UPDATE quad SET log_seq = :logSeq WHERE id = :id
