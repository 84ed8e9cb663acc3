-- Photos by what is in them: the same picture is kept once, here or in a folder.
CREATE TABLE IF NOT EXISTS kept_bytes (
  hash BINARY(32) NOT NULL,
  bytes MEDIUMBLOB NOT NULL,
  kept_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (hash),
  KEY kept_bytes_old (kept_at)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
ALTER TABLE proof_photos ADD COLUMN IF NOT EXISTS hash BINARY(32) NULL;
INSERT INTO kept_bytes (hash, bytes)
SELECT UNHEX(SHA2(p.bytes, 256)), p.bytes FROM proof_photos p
ON DUPLICATE KEY UPDATE hash = kept_bytes.hash;
UPDATE proof_photos SET hash = UNHEX(SHA2(bytes, 256));
ALTER TABLE proof_photos
  MODIFY COLUMN hash BINARY(32) NOT NULL,
  DROP COLUMN IF EXISTS bytes,
  ADD KEY IF NOT EXISTS proof_photos_hash (hash);
