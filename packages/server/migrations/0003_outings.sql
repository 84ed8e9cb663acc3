CREATE TABLE outings (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT UNSIGNED NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ground_code VARCHAR(30) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  title VARCHAR(80) NOT NULL,
  started_at DATETIME(3) NOT NULL,
  state ENUM ('planned', 'lowered', 'closed') NOT NULL,
  decision_code VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NULL,
  decision_note VARCHAR(500) NULL,
  created_at DATETIME(3) NOT NULL,
  updated_at DATETIME(3) NOT NULL,
  deleted_at DATETIME(3) NULL,
  PRIMARY KEY (owner_id, id),
  KEY outings_newest_first (owner_id, started_at, id),
  KEY outings_of_rig (owner_id, rig_id),
  CONSTRAINT outings_owner FOREIGN KEY (owner_id) REFERENCES owners (id),
  CONSTRAINT outings_rig FOREIGN KEY (owner_id, rig_id) REFERENCES rigs (owner_id, id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

CREATE TABLE outing_pressures (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  outing_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position ENUM ('front', 'rear') NOT NULL,
  pressure_kpa DOUBLE NOT NULL,
  PRIMARY KEY (owner_id, outing_id, position),
  CONSTRAINT outing_pressures_outing FOREIGN KEY (owner_id, outing_id) REFERENCES outings (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
