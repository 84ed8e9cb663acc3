-- What the label of a pump says; nothing where its kind's figures are taken.
ALTER TABLE air_tools
  ADD COLUMN on_min DOUBLE NULL AFTER wheels_at_once,
  ADD COLUMN rest_min DOUBLE NULL AFTER on_min,
  ADD COLUMN budget_liters DOUBLE NULL AFTER rest_min,
  ADD COLUMN budget_kg DOUBLE NULL AFTER budget_liters;

CREATE TABLE air_tool_flow (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  tool_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ordinal TINYINT UNSIGNED NOT NULL,
  pressure_kpa DOUBLE NOT NULL,
  liters_per_min DOUBLE NOT NULL,
  PRIMARY KEY (owner_id, tool_id, ordinal),
  CONSTRAINT air_tool_flow_tool FOREIGN KEY (owner_id, tool_id) REFERENCES air_tools (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

-- Air let out of a rig's wheels or put back: what was tapped and read. A reading outlives its gauge and tool.
CREATE TABLE airings (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT UNSIGNED NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  outing_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  way ENUM ('out', 'in') NOT NULL,
  tool_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  tool_kind VARCHAR(30) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  started_at DATETIME(3) NOT NULL,
  ended_at DATETIME(3) NULL,
  gauge_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  gauge_offset_kpa DOUBLE NULL,
  cold_temp_c DOUBLE NOT NULL,
  tire_temp_c DOUBLE NOT NULL,
  altitude_m DOUBLE NOT NULL,
  created_at DATETIME(3) NOT NULL,
  updated_at DATETIME(3) NOT NULL,
  deleted_at DATETIME(3) NULL,
  PRIMARY KEY (owner_id, id),
  KEY airings_newest_first (owner_id, started_at, id),
  KEY airings_of_rig (owner_id, rig_id, started_at),
  KEY airings_of_outing (owner_id, outing_id),
  KEY airings_of_tool (owner_id, tool_id, started_at),
  CONSTRAINT airings_owner FOREIGN KEY (owner_id) REFERENCES owners (id),
  CONSTRAINT airings_rig FOREIGN KEY (owner_id, rig_id) REFERENCES rigs (owner_id, id),
  CONSTRAINT airings_outing FOREIGN KEY (owner_id, outing_id) REFERENCES outings (owner_id, id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

CREATE TABLE airing_wheels (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  airing_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ordinal TINYINT UNSIGNED NOT NULL,
  position ENUM ('front', 'rear', 'rear2', 'trailer', 'trailer2', 'trailer3') NOT NULL,
  wheel ENUM ('single', 'left', 'right', 'leftOuter', 'leftInner', 'rightInner', 'rightOuter') NOT NULL,
  volume_l DOUBLE NOT NULL,
  cold_kpa DOUBLE NOT NULL,
  target_kpa DOUBLE NOT NULL,
  settled ENUM ('accepted', 'skipped') NULL,
  PRIMARY KEY (owner_id, airing_id, ordinal),
  CONSTRAINT airing_wheels_airing FOREIGN KEY (owner_id, airing_id) REFERENCES airings (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

CREATE TABLE airing_runs (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  airing_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ordinal SMALLINT UNSIGNED NOT NULL,
  position ENUM ('front', 'rear', 'rear2', 'trailer', 'trailer2', 'trailer3') NOT NULL,
  wheel ENUM ('single', 'left', 'right', 'leftOuter', 'leftInner', 'rightInner', 'rightOuter') NOT NULL,
  started_at DATETIME(3) NOT NULL,
  ended_at DATETIME(3) NULL,
  before_kpa DOUBLE NOT NULL,
  after_kpa DOUBLE NULL,
  timed BOOLEAN NOT NULL,
  PRIMARY KEY (owner_id, airing_id, ordinal),
  CONSTRAINT airing_runs_airing FOREIGN KEY (owner_id, airing_id) REFERENCES airings (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

-- Wheels read with a gauge, one after the other.
CREATE TABLE reading_rounds (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT UNSIGNED NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  outing_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  read_at DATETIME(3) NOT NULL,
  occasion VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  gauge_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  gauge_offset_kpa DOUBLE NULL,
  air_temp_c DOUBLE NULL,
  tire_temp_c DOUBLE NULL,
  altitude_m DOUBLE NOT NULL,
  created_at DATETIME(3) NOT NULL,
  updated_at DATETIME(3) NOT NULL,
  deleted_at DATETIME(3) NULL,
  PRIMARY KEY (owner_id, id),
  KEY reading_rounds_newest_first (owner_id, read_at, id),
  KEY reading_rounds_of_rig (owner_id, rig_id, read_at),
  KEY reading_rounds_of_outing (owner_id, outing_id),
  CONSTRAINT reading_rounds_owner FOREIGN KEY (owner_id) REFERENCES owners (id),
  CONSTRAINT reading_rounds_rig FOREIGN KEY (owner_id, rig_id) REFERENCES rigs (owner_id, id),
  CONSTRAINT reading_rounds_outing FOREIGN KEY (owner_id, outing_id) REFERENCES outings (owner_id, id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

CREATE TABLE reading_wheels (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  round_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ordinal TINYINT UNSIGNED NOT NULL,
  position ENUM ('front', 'rear', 'rear2', 'trailer', 'trailer2', 'trailer3') NOT NULL,
  wheel ENUM ('single', 'left', 'right', 'leftOuter', 'leftInner', 'rightInner', 'rightOuter') NOT NULL,
  shown_kpa DOUBLE NOT NULL,
  PRIMARY KEY (owner_id, round_id, ordinal),
  CONSTRAINT reading_wheels_round FOREIGN KEY (owner_id, round_id) REFERENCES reading_rounds (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

-- What monitors said, or a file of theirs. One wheel at one time is one row, however often it arrives. No foreign key to
-- the rig: a million rows are not looked up one by one; whoever writes asks for the rig once.
CREATE TABLE monitor_log (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position ENUM ('front', 'rear', 'rear2', 'trailer', 'trailer2', 'trailer3') NOT NULL,
  wheel ENUM ('single', 'left', 'right', 'leftOuter', 'leftInner', 'rightInner', 'rightOuter') NOT NULL,
  read_at DATETIME(3) NOT NULL,
  pressure_kpa DOUBLE NOT NULL,
  temp_c DOUBLE NULL,
  source ENUM ('monitor', 'file') NOT NULL,
  PRIMARY KEY (owner_id, rig_id, position, wheel, read_at)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

-- The simulated stand-ins of a rig: all they do follows from these rows and the time, so that any server tells the same.
CREATE TABLE simulated_rigs (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  seed INT UNSIGNED NOT NULL,
  ambient_c DOUBLE NOT NULL,
  altitude_m DOUBLE NOT NULL,
  driving BOOLEAN NOT NULL,
  warm_from_c DOUBLE NOT NULL,
  warm_at DATETIME(3) NOT NULL,
  since DATETIME(3) NOT NULL,
  PRIMARY KEY (owner_id, rig_id),
  CONSTRAINT simulated_rigs_rig FOREIGN KEY (owner_id, rig_id) REFERENCES rigs (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

CREATE TABLE simulated_wheels (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position ENUM ('front', 'rear', 'rear2', 'trailer', 'trailer2', 'trailer3') NOT NULL,
  wheel ENUM ('single', 'left', 'right', 'leftOuter', 'leftInner', 'rightInner', 'rightOuter') NOT NULL,
  volume_l DOUBLE NOT NULL,
  cold_kpa DOUBLE NOT NULL,
  set_at DATETIME(3) NOT NULL,
  flow ENUM ('none', 'out', 'in') NOT NULL,
  flow_rate DOUBLE NOT NULL,
  stop_at_kpa DOUBLE NULL,
  PRIMARY KEY (owner_id, rig_id, position, wheel),
  CONSTRAINT simulated_wheels_rig FOREIGN KEY (owner_id, rig_id) REFERENCES simulated_rigs (owner_id, rig_id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;

CREATE TABLE simulated_faults (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position ENUM ('front', 'rear', 'rear2', 'trailer', 'trailer2', 'trailer3') NOT NULL,
  wheel ENUM ('single', 'left', 'right', 'leftOuter', 'leftInner', 'rightInner', 'rightOuter') NOT NULL,
  kind ENUM ('slowLeak', 'burst', 'silent', 'stuck', 'wrongClock') NOT NULL,
  since DATETIME(3) NOT NULL,
  PRIMARY KEY (owner_id, rig_id, position, wheel, kind),
  CONSTRAINT simulated_faults_rig FOREIGN KEY (owner_id, rig_id) REFERENCES simulated_rigs (owner_id, rig_id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
