CREATE TABLE situations (
  id CHAR(36) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  name VARCHAR(80) NOT NULL,
  document JSON NOT NULL,
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  deleted_at DATETIME(3) NULL,
  KEY situations_account (account_id, updated_at),
  CONSTRAINT situations_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
