-- Lists go by whether a row was put aside, then by their own order: a place in a list of a hundred thousand is a range of
-- its key, not a walk from the start.
ALTER TABLE rigs
  ADD COLUMN archived BOOLEAN AS (deleted_at IS NOT NULL) VIRTUAL INVISIBLE,
  ADD KEY rigs_listed (owner_id, archived, name, id),
  DROP KEY rigs_aside_by_name;
ALTER TABLE gauges
  ADD COLUMN archived BOOLEAN AS (deleted_at IS NOT NULL) VIRTUAL INVISIBLE,
  ADD KEY gauges_listed (owner_id, archived, name, id),
  DROP KEY gauges_by_name;
ALTER TABLE air_tools
  ADD COLUMN archived BOOLEAN AS (deleted_at IS NOT NULL) VIRTUAL INVISIBLE,
  ADD KEY air_tools_listed (owner_id, archived, name, id),
  DROP KEY air_tools_by_name;
ALTER TABLE outings
  ADD COLUMN archived BOOLEAN AS (deleted_at IS NOT NULL) VIRTUAL INVISIBLE,
  ADD KEY outings_listed (owner_id, archived, started_at, id),
  DROP KEY outings_newest_first;
ALTER TABLE proof_tests
  ADD COLUMN archived BOOLEAN AS (deleted_at IS NOT NULL) VIRTUAL INVISIBLE,
  ADD KEY proof_tests_listed (owner_id, archived, performed_at, id),
  DROP KEY proof_tests_newest_first;
ALTER TABLE airings
  ADD COLUMN archived BOOLEAN AS (deleted_at IS NOT NULL) VIRTUAL INVISIBLE,
  ADD KEY airings_listed (owner_id, archived, started_at, id),
  DROP KEY airings_newest_first;
ALTER TABLE reading_rounds
  ADD COLUMN archived BOOLEAN AS (deleted_at IS NOT NULL) VIRTUAL INVISIBLE,
  ADD KEY reading_rounds_listed (owner_id, archived, read_at, id),
  DROP KEY reading_rounds_newest_first;
