-- How many people the shop has, those who left included. Column: people.
SELECT COUNT(*) AS people FROM person
