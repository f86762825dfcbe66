-- Parameter: id. Column: logSeq. Holds the quad's row until the transaction ends.
SELECT log_seq AS logSeq FROM quad WHERE id = :id FOR UPDATE
