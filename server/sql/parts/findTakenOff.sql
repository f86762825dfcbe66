-- Parameters: partId, recordId. Column: body (JSON): the note that was made when this record took the part off.
SELECT body FROM part_note WHERE part_id = :partId AND JSON_VALUE(body, '$.record') = :recordId ORDER BY at DESC LIMIT 1
