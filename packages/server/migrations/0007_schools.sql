-- The school that a person holds for a rig; nothing goes by the default.
ALTER TABLE rigs ADD COLUMN school VARCHAR(30) CHARACTER SET ascii COLLATE ascii_bin NULL AFTER load_case_id;
