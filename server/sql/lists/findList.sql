-- Parameters: basis.
SELECT doc FROM touch_list WHERE basis = :basis
