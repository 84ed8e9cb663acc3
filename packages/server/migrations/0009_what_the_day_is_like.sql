-- What was said of the day of an outing, how fast it has to go there, and how far below the floor it has gone, stuck.
ALTER TABLE outings
  ADD COLUMN speed_kmh DOUBLE NULL AFTER ground_code,
  ADD COLUMN stuck_rung TINYINT UNSIGNED NOT NULL DEFAULT 0 AFTER speed_kmh;

CREATE TABLE outing_modifiers (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  outing_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ordinal TINYINT UNSIGNED NOT NULL,
  modifier VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  PRIMARY KEY (owner_id, outing_id, ordinal),
  CONSTRAINT outing_modifiers_outing FOREIGN KEY (owner_id, outing_id) REFERENCES outings (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
