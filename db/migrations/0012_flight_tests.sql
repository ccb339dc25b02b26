-- Flight tests of an account's own, as documents with versions.
CREATE TABLE IF NOT EXISTS flight_tests (
  id VARCHAR(40) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  name VARCHAR(60) NOT NULL,
  document JSON NOT NULL,
  version INT NOT NULL DEFAULT 1,
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  deleted_at DATETIME(3) NULL,
  bytes INT AS (OCTET_LENGTH(document)) PERSISTENT,
  KEY flight_tests_account (account_id, deleted_at, name),
  KEY flight_tests_room (account_id, bytes),
  CONSTRAINT flight_tests_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
