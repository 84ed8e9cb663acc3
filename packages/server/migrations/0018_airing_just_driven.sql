-- What is read on tires that were just driven, and of nobody knows which warmth, is no cold reading.
ALTER TABLE airings ADD COLUMN just_driven BOOLEAN NOT NULL DEFAULT FALSE;
