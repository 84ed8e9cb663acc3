-- Who of a crew has the machine just now. Null: nobody said.
ALTER TABLE rigs
  ADD COLUMN IF NOT EXISTS keeper_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
