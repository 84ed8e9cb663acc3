-- Whether a bicycle's rim has hooks, a doubtful road pressure that the person stood by, which load it is for, and how full a
-- tank is on a drive.
ALTER TABLE rig_axles
  ADD COLUMN IF NOT EXISTS hookless BOOLEAN NULL,
  ADD COLUMN IF NOT EXISTS confirmed_road_kpa DOUBLE NULL;
ALTER TABLE rigs ADD COLUMN IF NOT EXISTS road_load_case_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE outings ADD COLUMN IF NOT EXISTS tank_level DOUBLE NULL;
