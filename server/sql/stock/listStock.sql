-- Columns: id, key, name, unit, offcut, place, doc (JSON), onHand; by name.
SELECT id, stock_key AS `key`, name, unit, offcut, place, doc, on_hand AS onHand FROM stock ORDER BY offcut, name LIMIT 5000
