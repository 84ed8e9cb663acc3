-- Tables of loads and files of rows that are long, and archives that are put together, are jobs too.
ALTER TABLE jobs
  MODIFY kind ENUM ('log', 'archive', 'loads', 'rows', 'out') CHARACTER SET ascii COLLATE ascii_bin NOT NULL;
