-- Drills that several browsers run together. A crew's log is only added to; what it shows follows from it. Its clock is
-- the database's, so that several web processes agree.
CREATE TABLE IF NOT EXISTS crews (
  id CHAR(36) NOT NULL PRIMARY KEY,
  host_id CHAR(36) NOT NULL,
  code_hash BINARY(32) NOT NULL,
  run JSON NOT NULL,
  aircraft_name VARCHAR(60) NOT NULL,
  elapsed_s DOUBLE NOT NULL DEFAULT 0,
  running_since DATETIME(6) NULL,
  last_seq INT NOT NULL DEFAULT 0,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  UNIQUE KEY crews_code (code_hash),
  KEY crews_host (host_id, created_at),
  CONSTRAINT crews_host FOREIGN KEY (host_id) REFERENCES accounts (id) ON DELETE CASCADE
);

-- Who is of it: by a token in his browser, with an account or without.
CREATE TABLE IF NOT EXISTS crew_members (
  crew_id CHAR(36) NOT NULL,
  role VARCHAR(12) NOT NULL,
  token_hash BINARY(32) NOT NULL,
  PRIMARY KEY (crew_id, role),
  UNIQUE KEY crew_members_token (token_hash),
  CONSTRAINT crew_members_crew FOREIGN KEY (crew_id) REFERENCES crews (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS crew_events (
  crew_id CHAR(36) NOT NULL,
  seq INT NOT NULL,
  time_s DOUBLE NOT NULL,
  role VARCHAR(12) NOT NULL,
  did JSON NOT NULL,
  PRIMARY KEY (crew_id, seq),
  CONSTRAINT crew_events_crew FOREIGN KEY (crew_id) REFERENCES crews (id) ON DELETE CASCADE
);
