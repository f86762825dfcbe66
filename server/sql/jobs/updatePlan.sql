-- Parameters: id, plan (JSON), planVersion.
UPDATE job SET plan = :plan, plan_version = :planVersion WHERE id = :id
