-- What a row takes, so that an account's room is counted from an index alone; and a version, so that a save which would
-- undo somebody else's is noticed.
ALTER TABLE situations
  ADD COLUMN version INT NOT NULL DEFAULT 1,
  ADD COLUMN bytes INT AS (OCTET_LENGTH(document)) PERSISTENT,
  ADD KEY situations_room (account_id, deleted_at, bytes);
ALTER TABLE aircraft
  ADD COLUMN version INT NOT NULL DEFAULT 1,
  ADD COLUMN bytes INT AS (OCTET_LENGTH(document)) PERSISTENT,
  ADD KEY aircraft_room (account_id, deleted_at, bytes),
  ADD KEY aircraft_latest (account_id, deleted_at, updated_at);
ALTER TABLE terrains
  ADD COLUMN bytes INT AS (OCTET_LENGTH(elevations)) PERSISTENT,
  ADD KEY terrains_room (account_id, bytes);
