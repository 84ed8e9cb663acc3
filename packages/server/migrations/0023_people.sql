-- People, their crews and how they come in. An owner of rows is a space: the own one of a person, which has the person's id,
-- or that of a crew. Whose rows are here already is the first person: nothing of them moves.
CREATE TABLE IF NOT EXISTS people (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(40) NOT NULL,
  -- The name without what eyes can't tell apart: no two people look alike.
  name_key VARCHAR(80) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
  pass_hash VARCHAR(200) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (id),
  UNIQUE KEY people_name (name_key),
  CONSTRAINT people_own_space FOREIGN KEY (id) REFERENCES owners (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
CREATE TABLE IF NOT EXISTS crews (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(60) NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (id),
  CONSTRAINT crews_space FOREIGN KEY (id) REFERENCES owners (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
CREATE TABLE IF NOT EXISTS crew_members (
  crew_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  role ENUM ('own', 'lead', 'member', 'viewer') CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  joined_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (crew_id, person_id),
  KEY crew_members_person (person_id, crew_id),
  CONSTRAINT crew_members_crew FOREIGN KEY (crew_id) REFERENCES crews (id),
  CONSTRAINT crew_members_of FOREIGN KEY (person_id) REFERENCES people (id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
-- The cookie of a browser, hashed: who reads this table can't sign in with it.
CREATE TABLE IF NOT EXISTS sessions (
  id BINARY(32) NOT NULL,
  -- What it is called when it is listed and revoked.
  public_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  device VARCHAR(60) NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  seen_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  expires_at DATETIME(3) NOT NULL,
  PRIMARY KEY (id),
  UNIQUE KEY sessions_public (public_id),
  KEY sessions_person (person_id, seen_at),
  CONSTRAINT sessions_of FOREIGN KEY (person_id) REFERENCES people (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
CREATE TABLE IF NOT EXISTS invitations (
  token_hash BINARY(32) NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  crew_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  role ENUM ('lead', 'member', 'viewer') CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  made_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  made_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  expires_at DATETIME(3) NOT NULL,
  used_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  used_at DATETIME(3) NULL,
  PRIMARY KEY (token_hash),
  UNIQUE KEY invitations_id (id),
  KEY invitations_crew (crew_id, expires_at),
  CONSTRAINT invitations_to FOREIGN KEY (crew_id) REFERENCES crews (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
-- One-time codes for who has forgotten the pass-phrase: printed by the person, or given by a lead.
CREATE TABLE IF NOT EXISTS recovery_codes (
  code_hash BINARY(32) NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  -- The lead who gave it; null for one's own.
  given_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  expires_at DATETIME(3) NULL,
  PRIMARY KEY (code_hash),
  KEY recovery_codes_of (person_id),
  CONSTRAINT recovery_codes_person FOREIGN KEY (person_id) REFERENCES people (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
-- Whether people sign in, by the first person of a server. The row is made when that person lets others in; without it the
-- server has one person, who is asked nothing.
CREATE TABLE IF NOT EXISTS sign_in (
  first_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  since DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (first_id)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
-- Wrong tries at names and from addresses, kept by the library that counts them.
CREATE TABLE IF NOT EXISTS wrong_tries (
  `key` VARCHAR(255) NOT NULL,
  points INT NOT NULL DEFAULT 0,
  expire BIGINT UNSIGNED NULL,
  PRIMARY KEY (`key`)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
