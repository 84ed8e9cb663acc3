-- A test can be set aside: kept and shown, and nothing is learned from it.
ALTER TABLE proof_tests ADD COLUMN counts TINYINT(1) NOT NULL DEFAULT 1 AFTER kind;

-- Since when these tires are on the axle: tests made before speak of others.
ALTER TABLE rig_axles ADD COLUMN fitted_at DATETIME(3) NULL;

-- Photos of prints, made small and without anything about where they were taken. A test names its own by id.
CREATE TABLE proof_photos (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  bytes MEDIUMBLOB NOT NULL,
  created_at DATETIME(3) NOT NULL,
  PRIMARY KEY (owner_id, id),
  CONSTRAINT proof_photos_owner FOREIGN KEY (owner_id) REFERENCES owners (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
