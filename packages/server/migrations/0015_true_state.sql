-- What is in a wheel is told from when it was set and how warm it was read, not from an outing being closed.
ALTER TABLE outings ADD COLUMN pressures_at DATETIME(3) NULL;
ALTER TABLE reading_rounds ADD COLUMN just_driven BOOLEAN NOT NULL DEFAULT FALSE;
ALTER TABLE rigs
  ADD COLUMN soft_on_purpose_at DATETIME(3) NULL,
  ADD COLUMN demo BOOLEAN NOT NULL DEFAULT FALSE;
