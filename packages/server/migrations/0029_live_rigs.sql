-- What the monitors of a followed rig say in this slot of time: made by one server, sent on by all.
CREATE TABLE IF NOT EXISTS live_rigs (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  slot_ms BIGINT UNSIGNED NOT NULL,
  maker CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  event MEDIUMTEXT CHARACTER SET ascii COLLATE ascii_bin NULL,
  PRIMARY KEY (owner_id, rig_id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
