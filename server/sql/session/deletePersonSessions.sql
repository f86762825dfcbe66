-- Parameter: personId. When somebody leaves the shop.
DELETE FROM session WHERE person_id = :personId
