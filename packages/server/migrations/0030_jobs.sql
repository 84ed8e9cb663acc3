-- Work that takes long, with how far it has come.
CREATE TABLE IF NOT EXISTS jobs (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kind ENUM ('log', 'archive') CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  state ENUM ('coming', 'working', 'done', 'refused') CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  -- What is asked for, as its kind needs it. JSON, as are mark and told.
  asked TEXT NOT NULL,
  -- How many bytes have come, in how many parts.
  bytes BIGINT UNSIGNED NOT NULL DEFAULT 0,
  parts INT UNSIGNED NOT NULL DEFAULT 0,
  -- How far the work has come, as its kind counts it, and what it says of itself.
  mark MEDIUMTEXT NOT NULL,
  told MEDIUMTEXT NOT NULL,
  -- Which server is at it, and until when nobody else begins.
  holder CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  held_until DATETIME(3) NULL,
  made_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  touched_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  PRIMARY KEY (owner_id, id),
  -- Servers look for what is left to do, of any space; and what nobody came back to is forgotten.
  KEY jobs_left (state, held_until),
  KEY jobs_old (touched_at),
  CONSTRAINT jobs_owner FOREIGN KEY (owner_id) REFERENCES owners (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
CREATE TABLE IF NOT EXISTS job_parts (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  job_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  part INT UNSIGNED NOT NULL,
  bytes MEDIUMBLOB NOT NULL,
  PRIMARY KEY (owner_id, job_id, part),
  CONSTRAINT job_parts_job FOREIGN KEY (owner_id, job_id) REFERENCES jobs (owner_id, id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
