-- Test cards as documents with versions, and the moments that were marked by hand while they were flown. Marks are only
-- added and taken back for good, so that two devices that mark one series agree in whatever order they come.
CREATE TABLE IF NOT EXISTS test_cards (
  id VARCHAR(40) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  name VARCHAR(60) NOT NULL,
  document JSON NOT NULL,
  version INT NOT NULL DEFAULT 1,
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  deleted_at DATETIME(3) NULL,
  bytes INT AS (OCTET_LENGTH(document)) PERSISTENT,
  KEY test_cards_account (account_id, deleted_at, name),
  KEY test_cards_room (account_id, bytes),
  CONSTRAINT test_cards_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS card_marks (
  card_id VARCHAR(40) NOT NULL,
  id CHAR(36) NOT NULL,
  run TINYINT UNSIGNED NOT NULL,
  mark TINYINT UNSIGNED NOT NULL,
  at_ms BIGINT NOT NULL,
  removed BOOLEAN NOT NULL DEFAULT FALSE,
  PRIMARY KEY (card_id, id),
  CONSTRAINT card_marks_card FOREIGN KEY (card_id) REFERENCES test_cards (id) ON DELETE CASCADE
);
