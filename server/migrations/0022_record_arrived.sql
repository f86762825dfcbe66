ALTER TABLE record ADD KEY record_arrived (job_id, arrived_at)
