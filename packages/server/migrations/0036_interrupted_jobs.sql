-- How often the server at work on a job ended in the middle, since the job last came any further.
ALTER TABLE jobs ADD COLUMN IF NOT EXISTS interrupted INT NOT NULL DEFAULT 0;
