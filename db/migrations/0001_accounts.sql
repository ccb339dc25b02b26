CREATE TABLE accounts (
  id CHAR(36) NOT NULL PRIMARY KEY,
  kind ENUM('user', 'guest', 'library') NOT NULL,
  email VARCHAR(254) NULL,
  password_hash VARCHAR(255) NULL,
  preferences JSON NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  UNIQUE KEY accounts_email (email)
);

CREATE TABLE sessions (
  token_hash BINARY(32) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  expires_at DATETIME(3) NOT NULL,
  KEY sessions_expiry (expires_at),
  CONSTRAINT sessions_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
