-- What was rehearsed: runs of drills with what came of them, and answers to cards. Nothing of either is changed later;
-- what is remembered follows from the answers.
CREATE TABLE IF NOT EXISTS runs (
  account_id CHAR(36) NOT NULL,
  id CHAR(36) NOT NULL,
  began_at DATETIME(3) NOT NULL,
  role VARCHAR(12) NOT NULL,
  procedure_id VARCHAR(40) NOT NULL,
  procedure_name VARCHAR(60) NOT NULL,
  aircraft_name VARCHAR(60) NOT NULL,
  result JSON NOT NULL,
  document JSON NOT NULL,
  bytes INT AS (OCTET_LENGTH(document)) PERSISTENT,
  PRIMARY KEY (account_id, id),
  KEY runs_latest (account_id, began_at),
  KEY runs_room (account_id, bytes),
  CONSTRAINT runs_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS reviews (
  account_id CHAR(36) NOT NULL,
  id CHAR(36) NOT NULL,
  card VARCHAR(120) NOT NULL,
  at DATETIME(3) NOT NULL,
  grade VARCHAR(8) NOT NULL,
  took_s FLOAT NOT NULL,
  PRIMARY KEY (account_id, id),
  KEY reviews_latest (account_id, at),
  CONSTRAINT reviews_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

-- What one account lets another read, until either ends it. The code is handed over by word of mouth; its reader is
-- whoever claims it first.
CREATE TABLE IF NOT EXISTS shares (
  id CHAR(36) NOT NULL PRIMARY KEY,
  owner_id CHAR(36) NOT NULL,
  reader_id CHAR(36) NULL,
  what VARCHAR(12) NOT NULL,
  name VARCHAR(40) NOT NULL,
  code_hash BINARY(32) NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  claimed_at DATETIME(3) NULL,
  ended_at DATETIME(3) NULL,
  UNIQUE KEY shares_code (code_hash),
  KEY shares_owner (owner_id, ended_at),
  KEY shares_reader (reader_id, ended_at),
  CONSTRAINT shares_owner FOREIGN KEY (owner_id) REFERENCES accounts (id) ON DELETE CASCADE,
  CONSTRAINT shares_reader FOREIGN KEY (reader_id) REFERENCES accounts (id) ON DELETE CASCADE
);
