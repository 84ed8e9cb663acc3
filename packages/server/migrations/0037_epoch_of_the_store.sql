-- The store has an identity, which a backup carries with it, and an epoch, which every restore renews.
ALTER TABLE lineage
  ADD COLUMN IF NOT EXISTS epoch CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD COLUMN IF NOT EXISTS set_back_to DATETIME(3) NULL;
-- What was there before goes on under the same marks.
UPDATE lineage SET epoch = id WHERE epoch IS NULL;
ALTER TABLE owners ADD COLUMN IF NOT EXISTS set_back_to DATETIME(3) NULL;
