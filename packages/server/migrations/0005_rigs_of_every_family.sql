-- Rigs of every family: axles with their own tire, and load cases of their own. What four-wheel rigs had is carried over.
ALTER TABLE rigs
  ADD COLUMN hitch_mm DOUBLE NULL AFTER name,
  ADD COLUMN top_speed_kmh DOUBLE NULL AFTER hitch_mm,
  ADD COLUMN load_case_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL AFTER top_speed_kmh,
  -- What is put aside lies apart, so that neither list reads the other's rows.
  DROP KEY rigs_by_name,
  ADD KEY rigs_aside_by_name (owner_id, deleted_at, name, id);

CREATE TABLE load_cases (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ordinal SMALLINT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  method ENUM ('scales', 'moments', 'posture') NOT NULL,
  whole_kg DOUBLE NULL,
  posture VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NULL,
  front_share DOUBLE NULL,
  rider_kg DOUBLE NULL,
  bike_kg DOUBLE NULL,
  PRIMARY KEY (owner_id, rig_id, id),
  CONSTRAINT load_cases_rig FOREIGN KEY (owner_id, rig_id) REFERENCES rigs (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

-- What stood on a scale, and what the axles weigh empty.
CREATE TABLE case_weights (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  case_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kind ENUM ('weighed', 'unladen') NOT NULL,
  position VARCHAR(10) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  part VARCHAR(12) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ordinal SMALLINT UNSIGNED NOT NULL,
  load_kg DOUBLE NOT NULL,
  PRIMARY KEY (owner_id, rig_id, case_id, kind, position, part),
  CONSTRAINT case_weights_case FOREIGN KEY (owner_id, rig_id, case_id)
    REFERENCES load_cases (owner_id, rig_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

CREATE TABLE case_items (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  case_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ordinal SMALLINT UNSIGNED NOT NULL,
  kind ENUM ('thing', 'tank') NOT NULL,
  name VARCHAR(60) NOT NULL,
  body ENUM ('vehicle', 'trailer') NOT NULL,
  behind_mm DOUBLE NOT NULL,
  right_mm DOUBLE NULL,
  mass_kg DOUBLE NULL,
  liters DOUBLE NULL,
  density_kg_per_l DOUBLE NULL,
  level DOUBLE NULL,
  PRIMARY KEY (owner_id, rig_id, case_id, ordinal),
  CONSTRAINT case_items_case FOREIGN KEY (owner_id, rig_id, case_id)
    REFERENCES load_cases (owner_id, rig_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

INSERT INTO load_cases (owner_id, rig_id, id, ordinal, name, method)
  SELECT owner_id, id, id, 0, 'As weighed', 'scales' FROM rigs;
INSERT INTO case_weights (owner_id, rig_id, case_id, kind, position, part, ordinal, load_kg)
  SELECT owner_id, rig_id, rig_id, 'weighed', position, 'axle', 0, left_load_kg + right_load_kg
  FROM rig_axles WHERE loads_from = 'axle';
INSERT INTO case_weights (owner_id, rig_id, case_id, kind, position, part, ordinal, load_kg)
  SELECT owner_id, rig_id, rig_id, 'weighed', position, 'left', 0, left_load_kg FROM rig_axles WHERE loads_from = 'wheel'
  UNION ALL
  SELECT owner_id, rig_id, rig_id, 'weighed', position, 'right', 1, right_load_kg FROM rig_axles WHERE loads_from = 'wheel';
UPDATE case_weights SET ordinal = ordinal + 10 WHERE position = 'rear';
UPDATE rigs SET load_case_id = id;

ALTER TABLE rig_axles
  MODIFY COLUMN position VARCHAR(10) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  CHANGE COLUMN placard_kpa road_kpa DOUBLE NULL,
  ADD COLUMN wheels TINYINT UNSIGNED NOT NULL DEFAULT 2,
  ADD COLUMN driven BOOLEAN NOT NULL DEFAULT TRUE,
  -- Until someone measures it, a common wagon's.
  ADD COLUMN behind_mm DOUBLE NOT NULL DEFAULT 0,
  ADD COLUMN track_mm DOUBLE NULL DEFAULT 1570,
  ADD COLUMN rating_kg DOUBLE NULL,
  ADD COLUMN tube BOOLEAN NOT NULL DEFAULT FALSE,
  ADD COLUMN bead_hold ENUM ('none', 'beadLock', 'rimLock') NOT NULL DEFAULT 'none',
  ADD COLUMN insert_fitted BOOLEAN NOT NULL DEFAULT FALSE,
  ADD COLUMN casing ENUM ('thin', 'medium', 'downhill') NULL,
  ADD COLUMN rim_inner_mm DOUBLE NULL,
  ADD COLUMN measured_width_mm DOUBLE NULL,
  ADD COLUMN tread_width_mm DOUBLE NULL,
  ADD COLUMN min_kpa DOUBLE NULL,
  ADD COLUMN max_kpa DOUBLE NULL,
  ADD COLUMN rows_of ENUM ('thisTire', 'standardTire') NOT NULL DEFAULT 'thisTire',
  ADD COLUMN present_raw_kpa DOUBLE NULL,
  ADD COLUMN present_gauge_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD COLUMN present_offset_kpa DOUBLE NULL,
  DROP COLUMN loads_from,
  DROP COLUMN left_load_kg,
  DROP COLUMN right_load_kg;
UPDATE rig_axles SET behind_mm = 2790 WHERE position = 'rear';
UPDATE rig_axles a JOIN rigs r ON r.owner_id = a.owner_id AND r.id = a.rig_id
  SET a.bead_hold = 'beadLock' WHERE r.bead_locks;
ALTER TABLE rigs DROP COLUMN bead_locks;

-- "Max load at pressure" lines of a sidewall have no speed; rows of a data sheet have one.
CREATE TABLE tire_points (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position VARCHAR(10) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kind ENUM ('line', 'row') NOT NULL,
  ordinal SMALLINT UNSIGNED NOT NULL,
  pressure_kpa DOUBLE NOT NULL,
  speed_kmh DOUBLE NULL,
  load_kg DOUBLE NOT NULL,
  PRIMARY KEY (owner_id, rig_id, position, kind, ordinal),
  CONSTRAINT tire_points_axle FOREIGN KEY (owner_id, rig_id, position)
    REFERENCES rig_axles (owner_id, rig_id, position) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

ALTER TABLE outings
  -- No reference: an outing outlives the load case it was driven with.
  ADD COLUMN load_case_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL AFTER rig_id;
ALTER TABLE outing_pressures MODIFY COLUMN position VARCHAR(10) CHARACTER SET ascii COLLATE ascii_bin NOT NULL;

UPDATE proof_tests SET details = JSON_SET(details, '$.gauge', NULL) WHERE kind = 'tape';
