-- What a tool is set to and which valves it fits; the valve of each axle's wheels. Null and none: nobody said.
ALTER TABLE air_tools
  ADD COLUMN IF NOT EXISTS set_kpa DOUBLE NULL,
  ADD COLUMN IF NOT EXISTS valves VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT '';
ALTER TABLE rig_axles
  ADD COLUMN IF NOT EXISTS valve VARCHAR(12) CHARACTER SET ascii COLLATE ascii_bin NULL;
