CREATE TABLE gauges (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  from_kpa DOUBLE NOT NULL,
  full_scale_kpa DOUBLE NOT NULL,
  grade_percent DOUBLE NULL,
  created_at DATETIME(3) NOT NULL,
  updated_at DATETIME(3) NOT NULL,
  deleted_at DATETIME(3) NULL,
  PRIMARY KEY (owner_id, id),
  KEY gauges_by_name (owner_id, name, id),
  CONSTRAINT gauges_owner FOREIGN KEY (owner_id) REFERENCES owners (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

CREATE TABLE gauge_comparisons (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  gauge_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ordinal SMALLINT UNSIGNED NOT NULL,
  gauge_kpa DOUBLE NOT NULL,
  trusted_kpa DOUBLE NOT NULL,
  PRIMARY KEY (owner_id, gauge_id, ordinal),
  CONSTRAINT gauge_comparisons_gauge FOREIGN KEY (owner_id, gauge_id) REFERENCES gauges (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

CREATE TABLE air_tools (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  kind VARCHAR(30) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  wheels_at_once TINYINT UNSIGNED NOT NULL,
  note VARCHAR(300) NOT NULL,
  created_at DATETIME(3) NOT NULL,
  updated_at DATETIME(3) NOT NULL,
  deleted_at DATETIME(3) NULL,
  PRIMARY KEY (owner_id, id),
  KEY air_tools_by_name (owner_id, name, id),
  CONSTRAINT air_tools_owner FOREIGN KEY (owner_id) REFERENCES owners (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
