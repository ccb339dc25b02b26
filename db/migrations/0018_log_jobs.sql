-- Large logs are analysed after they were stored. The row is the truth of it: what waits, who works on it and until when
-- it is his, how far it is. One whose time has run out is anybody's again; only whose it is may finish it.
CREATE TABLE IF NOT EXISTS log_jobs (
  account_id CHAR(36) NOT NULL,
  log_id CHAR(36) NOT NULL,
  sent INT NOT NULL DEFAULT 1,
  state VARCHAR(8) NOT NULL DEFAULT 'waiting',
  share FLOAT NOT NULL DEFAULT 0,
  fault VARCHAR(400) NULL,
  tries INT NOT NULL DEFAULT 0,
  finished INT NOT NULL DEFAULT 0,
  claimed_by VARCHAR(64) NULL,
  claimed_until DATETIME(3) NULL,
  made_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (account_id, log_id),
  KEY log_jobs_state (state, claimed_until),
  CONSTRAINT log_jobs_log FOREIGN KEY (account_id, log_id) REFERENCES flight_logs (account_id, id) ON DELETE CASCADE
);
