-- Weighed once full and once empty, and so full today: what a tank or a bed comes and goes by.
ALTER TABLE load_cases
  MODIFY method ENUM ('scales', 'moments', 'posture', 'split', 'fullAndEmpty') NOT NULL,
  ADD COLUMN level DOUBLE NULL;
