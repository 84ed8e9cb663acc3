-- The whole weight alone, split by the kind of machine: a way to know a load before any scale under a wheel.
ALTER TABLE load_cases
  MODIFY method ENUM ('scales', 'moments', 'posture', 'split') NOT NULL,
  ADD COLUMN split_laden VARCHAR(10) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD COLUMN split_like VARCHAR(30) CHARACTER SET ascii COLLATE ascii_bin NULL;
