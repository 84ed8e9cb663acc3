-- What every test has is in columns; what only one kind has is in details, which the contract guards both ways.
CREATE TABLE proof_tests (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT UNSIGNED NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  outing_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  kind VARCHAR(30) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  performed_at DATETIME(3) NOT NULL,
  details JSON NOT NULL,
  created_at DATETIME(3) NOT NULL,
  updated_at DATETIME(3) NOT NULL,
  deleted_at DATETIME(3) NULL,
  PRIMARY KEY (owner_id, id),
  KEY proof_tests_newest_first (owner_id, performed_at, id),
  KEY proof_tests_of_rig (owner_id, rig_id, performed_at),
  KEY proof_tests_of_outing (owner_id, outing_id),
  CONSTRAINT proof_tests_owner FOREIGN KEY (owner_id) REFERENCES owners (id),
  CONSTRAINT proof_tests_rig FOREIGN KEY (owner_id, rig_id) REFERENCES rigs (owner_id, id),
  CONSTRAINT proof_tests_outing FOREIGN KEY (owner_id, outing_id) REFERENCES outings (owner_id, id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
