-- What is to be printed is made as a job too: a card for each of hundreds of machines takes a phone long.
ALTER TABLE jobs
  MODIFY kind ENUM ('log', 'archive', 'loads', 'rows', 'out', 'paper') CHARACTER SET ascii COLLATE ascii_bin NOT NULL;
