-- The lowest pressure that a person accepts for a rig; nothing goes by the trade's.
ALTER TABLE rigs ADD COLUMN bead_floor_kpa DOUBLE NULL AFTER school;
