-- A tape test is written down as every other test: its setup once, its readings as runs.
UPDATE proof_tests SET details = JSON_OBJECT(
  'wheel', CASE JSON_VALUE(details, '$.wheel')
    WHEN 'frontLeft' THEN 'front left' WHEN 'frontRight' THEN 'front right'
    WHEN 'rearLeft' THEN 'rear left' WHEN 'rearRight' THEN 'rear right'
    ELSE JSON_VALUE(details, '$.wheel') END,
  'tireMarking', JSON_VALUE(details, '$.tireMarking'),
  'loadRange', JSON_VALUE(details, '$.loadRange'),
  'wheelLoadKg', JSON_EXTRACT(details, '$.wheelLoadKg'),
  'widthMm', NULL,
  'gauge', JSON_EXTRACT(details, '$.gauge'),
  'setup', JSON_OBJECT('method', JSON_VALUE(details, '$.method'), 'surface', JSON_VALUE(details, '$.surface')),
  'runs', JSON_EXTRACT(details, '$.readings'),
  'note', '')
WHERE kind = 'tape' AND JSON_EXISTS(details, '$.readings');
