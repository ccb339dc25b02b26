-- What a session is known by in its account's list; browsers that have signed in before; attempts, so that limits
-- survive a restart.
ALTER TABLE sessions
  ADD COLUMN created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  ADD COLUMN seen_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  ADD COLUMN agent VARCHAR(200) NOT NULL DEFAULT '',
  ADD KEY sessions_account (account_id);

CREATE TABLE devices (
  token_hash BINARY(32) NOT NULL,
  account_id CHAR(36) NOT NULL,
  seen_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (account_id, token_hash),
  CONSTRAINT devices_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

-- The columns that the rate limiter's package asks for; expire is ms since 1970.
CREATE TABLE attempts (
  `key` VARCHAR(255) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL PRIMARY KEY,
  points INT NOT NULL DEFAULT 0,
  expire BIGINT UNSIGNED NULL,
  KEY attempts_expire (expire)
);
