CREATE TABLE rigs (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT UNSIGNED NOT NULL,
  family VARCHAR(30) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(60) NOT NULL,
  bead_locks BOOLEAN NOT NULL,
  created_at DATETIME(3) NOT NULL,
  updated_at DATETIME(3) NOT NULL,
  deleted_at DATETIME(3) NULL,
  PRIMARY KEY (owner_id, id),
  KEY rigs_by_name (owner_id, name, id),
  CONSTRAINT rigs_owner FOREIGN KEY (owner_id) REFERENCES owners (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

CREATE TABLE rig_axles (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position ENUM ('front', 'rear') NOT NULL,
  tire_marking VARCHAR(60) NOT NULL,
  load_range VARCHAR(10) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  placard_kpa DOUBLE NOT NULL,
  loads_from ENUM ('axle', 'wheel') NOT NULL,
  left_load_kg DOUBLE NOT NULL,
  right_load_kg DOUBLE NOT NULL,
  PRIMARY KEY (owner_id, rig_id, position),
  CONSTRAINT rig_axles_rig FOREIGN KEY (owner_id, rig_id) REFERENCES rigs (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
