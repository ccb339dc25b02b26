-- The logbook: entries as documents with versions, what is searched as columns made of them; files beside them; rules of
-- currency of an account's own.
CREATE TABLE IF NOT EXISTS logbook_entries (
  id VARCHAR(40) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  name VARCHAR(80) NOT NULL,
  document JSON NOT NULL,
  version INT NOT NULL DEFAULT 1,
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  deleted_at DATETIME(3) NULL,
  at VARCHAR(32) AS (JSON_VALUE(document, '$.at')) PERSISTENT,
  searched TEXT AS (CONCAT_WS(' ', name, JSON_VALUE(document, '$.aircraft'), JSON_EXTRACT(document, '$.causes[*].words'),
    JSON_EXTRACT(document, '$.actions[*].words'), JSON_VALUE(document, '$.learnt'), JSON_VALUE(document, '$.change'),
    JSON_EXTRACT(document, '$.people[*].name'), JSON_EXTRACT(document, '$.tags'))) PERSISTENT,
  bytes INT AS (OCTET_LENGTH(document)) PERSISTENT,
  KEY logbook_entries_account (account_id, deleted_at, at),
  KEY logbook_entries_room (account_id, bytes),
  CONSTRAINT logbook_entries_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS attachments (
  account_id CHAR(36) NOT NULL,
  id CHAR(36) NOT NULL,
  entry_id VARCHAR(40) NOT NULL,
  name VARCHAR(120) NOT NULL,
  type VARCHAR(40) NOT NULL,
  content MEDIUMBLOB NOT NULL,
  bytes INT AS (OCTET_LENGTH(content)) PERSISTENT,
  kept_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (account_id, id),
  KEY attachments_entry (entry_id),
  KEY attachments_room (account_id, bytes),
  CONSTRAINT attachments_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE,
  CONSTRAINT attachments_entry FOREIGN KEY (entry_id) REFERENCES logbook_entries (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS currency_rules (
  id VARCHAR(40) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  name VARCHAR(60) NOT NULL,
  document JSON NOT NULL,
  version INT NOT NULL DEFAULT 1,
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  deleted_at DATETIME(3) NULL,
  bytes INT AS (OCTET_LENGTH(document)) PERSISTENT,
  KEY currency_rules_account (account_id, deleted_at, name),
  KEY currency_rules_room (account_id, bytes),
  CONSTRAINT currency_rules_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
