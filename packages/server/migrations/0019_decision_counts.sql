-- A decision can be struck from what the numbers stand on, and stays in the Book. Null where nothing was decided.
ALTER TABLE outings ADD COLUMN decision_counts BOOLEAN NULL;
UPDATE outings SET decision_counts = TRUE WHERE decision_code IS NOT NULL;
