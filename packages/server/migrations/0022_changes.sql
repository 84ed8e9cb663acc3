-- What changed since a device last asked. The database keeps the time of every change itself, so that no way of writing a
-- row can forget it; a row's own updated_at can't serve, since archives bring rows back with the times they once had.
ALTER TABLE gauges
  ADD COLUMN IF NOT EXISTS changed_at DATETIME(3) NOT NULL INVISIBLE DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  ADD KEY IF NOT EXISTS gauges_changed (owner_id, changed_at, id);
ALTER TABLE air_tools
  ADD COLUMN IF NOT EXISTS changed_at DATETIME(3) NOT NULL INVISIBLE DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  ADD KEY IF NOT EXISTS air_tools_changed (owner_id, changed_at, id);
ALTER TABLE rigs
  ADD COLUMN IF NOT EXISTS changed_at DATETIME(3) NOT NULL INVISIBLE DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  ADD KEY IF NOT EXISTS rigs_changed (owner_id, changed_at, id);
ALTER TABLE outings
  ADD COLUMN IF NOT EXISTS changed_at DATETIME(3) NOT NULL INVISIBLE DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  ADD KEY IF NOT EXISTS outings_changed (owner_id, changed_at, id);
ALTER TABLE proof_tests
  ADD COLUMN IF NOT EXISTS changed_at DATETIME(3) NOT NULL INVISIBLE DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  ADD KEY IF NOT EXISTS proof_tests_changed (owner_id, changed_at, id);
ALTER TABLE airings
  ADD COLUMN IF NOT EXISTS changed_at DATETIME(3) NOT NULL INVISIBLE DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  ADD KEY IF NOT EXISTS airings_changed (owner_id, changed_at, id);
ALTER TABLE reading_rounds
  ADD COLUMN IF NOT EXISTS changed_at DATETIME(3) NOT NULL INVISIBLE DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  ADD KEY IF NOT EXISTS reading_rounds_changed (owner_id, changed_at, id);
ALTER TABLE comparisons
  ADD COLUMN IF NOT EXISTS changed_at DATETIME(3) NOT NULL INVISIBLE DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  ADD KEY IF NOT EXISTS comparisons_changed (owner_id, changed_at, id);
-- Rows that were deleted for good: a device that was away meanwhile still has them.
CREATE TABLE IF NOT EXISTS gone_rows (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kind VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  changed_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  PRIMARY KEY (owner_id, kind, id),
  KEY gone_rows_changed (owner_id, kind, changed_at, id),
  CONSTRAINT gone_rows_owner FOREIGN KEY (owner_id) REFERENCES owners (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
-- Transactions that took so long that their rows may have been seen late: what was written from `since` on shows at `until`.
CREATE TABLE IF NOT EXISTS late_changes (
  id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT,
  since DATETIME(3) NOT NULL,
  until DATETIME(3) NOT NULL,
  PRIMARY KEY (id),
  KEY late_changes_until (until, since)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
-- Which course of events this database is: a backup that is restored begins another, and marks of the old one no longer
-- say what a device has. The row is made when it is first asked for.
CREATE TABLE IF NOT EXISTS lineage (
  one TINYINT UNSIGNED NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  PRIMARY KEY (one)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
