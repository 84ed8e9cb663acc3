-- The log of a rig by stretches of ten minutes and of three hours, each with its least and most, so that a year of it is
-- drawn without reading all of it. Made anew for what is added or deleted, in the same transaction.
CREATE TABLE monitor_log_summary (
  owner_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  rig_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  span_min SMALLINT UNSIGNED NOT NULL,
  position ENUM ('front', 'rear', 'rear2', 'trailer', 'trailer2', 'trailer3') NOT NULL,
  wheel ENUM ('single', 'left', 'right', 'leftOuter', 'leftInner', 'rightInner', 'rightOuter') NOT NULL,
  from_at DATETIME(3) NOT NULL,
  least_kpa DOUBLE NOT NULL,
  most_kpa DOUBLE NOT NULL,
  temp_sum DOUBLE NULL,
  temps INT UNSIGNED NOT NULL,
  readings INT UNSIGNED NOT NULL,
  PRIMARY KEY (owner_id, rig_id, span_min, position, wheel, from_at)
) ENGINE = InnoDB DEFAULT CHARACTER SET utf8mb4;
INSERT INTO monitor_log_summary
SELECT owner_id, rig_id, span.minutes, position, wheel,
  '1970-01-01' + INTERVAL FLOOR(TIMESTAMPDIFF(MINUTE, '1970-01-01', read_at) / span.minutes) * span.minutes MINUTE AS from_at,
  MIN(pressure_kpa), MAX(pressure_kpa), SUM(temp_c), COUNT(temp_c), COUNT(*)
FROM monitor_log JOIN (SELECT 10 AS minutes UNION ALL SELECT 180) span
WHERE read_at BETWEEN '1990-01-01' AND '2100-01-01'
GROUP BY owner_id, rig_id, span.minutes, position, wheel, from_at;
