-- Two setups on one ground, kept to be looked at again. The setups are JSON, which the contract guards both ways; rigs
-- they speak of may be archived or gone, and then the comparison says so.
CREATE TABLE comparisons (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  kept_at DATETIME(3) NOT NULL,
  ground_code VARCHAR(30) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  soil VARCHAR(30) CHARACTER SET ascii COLLATE ascii_bin NULL,
  depth_mm DOUBLE NULL,
  first JSON NOT NULL,
  second JSON NOT NULL,
  created_at DATETIME(3) NOT NULL,
  updated_at DATETIME(3) NOT NULL,
  deleted_at DATETIME(3) NULL,
  archived BOOLEAN AS (deleted_at IS NOT NULL) VIRTUAL INVISIBLE,
  PRIMARY KEY (owner_id, id),
  KEY comparisons_listed (owner_id, archived, kept_at, id),
  CONSTRAINT comparisons_owner FOREIGN KEY (owner_id) REFERENCES owners (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
