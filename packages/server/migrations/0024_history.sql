-- Who saved a row last, and what it was before. Rows of a time before people signed in have nobody.
ALTER TABLE gauges
  ADD COLUMN IF NOT EXISTS saved_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE air_tools
  ADD COLUMN IF NOT EXISTS saved_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE rigs
  ADD COLUMN IF NOT EXISTS saved_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE outings
  ADD COLUMN IF NOT EXISTS saved_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE proof_tests
  ADD COLUMN IF NOT EXISTS saved_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE airings
  ADD COLUMN IF NOT EXISTS saved_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE reading_rounds
  ADD COLUMN IF NOT EXISTS saved_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE comparisons
  ADD COLUMN IF NOT EXISTS saved_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
CREATE TABLE IF NOT EXISTS row_history (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kind VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT UNSIGNED NOT NULL,
  deed ENUM ('saved', 'archived', 'restored') CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  saved_at DATETIME(3) NOT NULL,
  saved_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  body MEDIUMTEXT NOT NULL,
  PRIMARY KEY (owner_id, kind, id, revision),
  CONSTRAINT row_history_owner FOREIGN KEY (owner_id) REFERENCES owners (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
