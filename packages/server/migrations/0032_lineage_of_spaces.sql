-- A crew that was brought back is another course of events: marks that devices have of it must not be taken for ours.
ALTER TABLE owners ADD COLUMN IF NOT EXISTS lineage CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
