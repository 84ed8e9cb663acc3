-- Passkeys: keys that stay on a person's device. Of each only the public half is here.
CREATE TABLE IF NOT EXISTS passkeys (
  credential_id VARCHAR(1400) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  public_key VARBINARY(2048) NOT NULL,
  counter INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  used_at DATETIME(3) NULL,
  PRIMARY KEY (id),
  UNIQUE KEY passkeys_credential (credential_id),
  KEY passkeys_of (person_id, created_at),
  CONSTRAINT passkeys_person FOREIGN KEY (person_id) REFERENCES people (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
-- What a device was asked to sign. Each is good once, on whichever server.
CREATE TABLE IF NOT EXISTS passkey_challenges (
  challenge VARCHAR(100) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  -- Who adds a passkey; null for signing in with one.
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  expires_at DATETIME(3) NOT NULL,
  PRIMARY KEY (challenge),
  KEY passkey_challenges_old (expires_at)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
