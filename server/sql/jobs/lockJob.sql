-- Parameter: id. Columns: quadId, plan (JSON), planVersion. Holds the job's row until the transaction ends.
SELECT quad_id AS quadId, plan, plan_version AS planVersion FROM job WHERE id = :id FOR UPDATE
