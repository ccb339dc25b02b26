-- A place is a document, like an aircraft: one table for aerodromes, helipads, fields, beaches and water, with versions.
CREATE TABLE IF NOT EXISTS places (
  id VARCHAR(64) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  name VARCHAR(60) NOT NULL,
  document JSON NOT NULL,
  version INT NOT NULL DEFAULT 1,
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  deleted_at DATETIME(3) NULL,
  bytes INT AS (OCTET_LENGTH(document)) PERSISTENT,
  KEY places_account (account_id, name),
  KEY places_room (account_id, deleted_at, bytes),
  CONSTRAINT places_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

INSERT IGNORE INTO places (id, account_id, name, document)
SELECT a.id, a.account_id, a.name,
  JSON_OBJECT(
    'schema', 'utrimax/place', 'version', 1, 'id', a.id, 'name', a.name, 'kind', a.kind,
    'position', JSON_OBJECT('latitude_deg', a.latitude_deg, 'longitude_deg', a.longitude_deg),
    'elevation_m', a.elevation_m,
    'runways', JSON_COMPACT(COALESCE((
      SELECT JSON_ARRAYAGG(JSON_OBJECT(
        'id', r.id, 'width_m', r.width_m, 'surface', r.surface,
        'ends', JSON_ARRAY(
          JSON_OBJECT('designator', r.a_designator,
            'threshold', JSON_OBJECT('latitude_deg', r.a_latitude_deg, 'longitude_deg', r.a_longitude_deg),
            'elevation_m', r.a_elevation_m, 'displaced_m', r.a_displaced_m,
            'obstacle', JSON_COMPACT(COALESCE(r.a_obstacle, 'null'))),
          JSON_OBJECT('designator', r.b_designator,
            'threshold', JSON_OBJECT('latitude_deg', r.b_latitude_deg, 'longitude_deg', r.b_longitude_deg),
            'elevation_m', r.b_elevation_m, 'displaced_m', r.b_displaced_m,
            'obstacle', JSON_COMPACT(COALESCE(r.b_obstacle, 'null')))
        )) ORDER BY r.id)
      FROM runways r WHERE r.aerodrome_id = a.id), '[]')))
FROM aerodromes a;

INSERT IGNORE INTO places (id, account_id, name, document)
SELECT s.id, s.account_id, s.name,
  JSON_OBJECT(
    'schema', 'utrimax/place', 'version', 1, 'id', s.id, 'name', s.name, 'kind', s.kind, 'notes', s.notes,
    'strip', JSON_COMPACT(s.strip), 'hazards', JSON_COMPACT(COALESCE(s.hazards, '[]')))
FROM landing_sites s;

DROP TABLE runways, aerodromes, landing_sites;
