-- Flights by hand: what came of each, and set-up and hands packed, from which it is flown again. Nothing of one is
-- changed later.
CREATE TABLE IF NOT EXISTS flights (
  account_id CHAR(36) NOT NULL,
  id CHAR(36) NOT NULL,
  flown_at DATETIME(3) NOT NULL,
  aircraft_name VARCHAR(60) NOT NULL,
  words VARCHAR(300) NOT NULL,
  exercise_id VARCHAR(40) NULL,
  backs INT NOT NULL,
  helped TINYINT NOT NULL,
  result JSON NOT NULL,
  packed MEDIUMBLOB NOT NULL,
  bytes INT AS (OCTET_LENGTH(packed)) PERSISTENT,
  PRIMARY KEY (account_id, id),
  KEY flights_latest (account_id, flown_at),
  KEY flights_room (account_id, bytes),
  CONSTRAINT flights_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
