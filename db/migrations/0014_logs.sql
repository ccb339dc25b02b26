-- Flight logs: the file with the day that it was flown on, packed, and what a list shows of it.
CREATE TABLE IF NOT EXISTS flight_logs (
  account_id CHAR(36) NOT NULL,
  id CHAR(36) NOT NULL,
  begun_at DATETIME(3) NULL,
  name VARCHAR(120) NOT NULL,
  aircraft_name VARCHAR(60) NULL,
  summary JSON NOT NULL,
  packed MEDIUMBLOB NOT NULL,
  bytes INT AS (OCTET_LENGTH(packed)) PERSISTENT,
  kept_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (account_id, id),
  KEY flight_logs_latest (account_id, kept_at),
  KEY flight_logs_room (account_id, bytes),
  CONSTRAINT flight_logs_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
