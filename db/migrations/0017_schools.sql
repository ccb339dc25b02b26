-- Schools: who is what in them, the codes that let one in, what they have in common, lessons, and what students handed
-- in. What was handed in is the student's row: the school reads it for as long as he is a member.
CREATE TABLE IF NOT EXISTS schools (
  id CHAR(36) NOT NULL PRIMARY KEY,
  name VARCHAR(60) NOT NULL,
  founded_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
);

CREATE TABLE IF NOT EXISTS school_members (
  school_id CHAR(36) NOT NULL,
  account_id CHAR(36) NOT NULL,
  role VARCHAR(12) NOT NULL,
  name VARCHAR(40) NOT NULL,
  joined_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (school_id, account_id),
  KEY school_members_account (account_id),
  CONSTRAINT school_members_school FOREIGN KEY (school_id) REFERENCES schools (id) ON DELETE CASCADE,
  CONSTRAINT school_members_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS school_codes (
  code_hash BINARY(32) NOT NULL PRIMARY KEY,
  school_id CHAR(36) NOT NULL,
  role VARCHAR(12) NOT NULL,
  made_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  places_left INT NOT NULL,
  CONSTRAINT school_codes_school FOREIGN KEY (school_id) REFERENCES schools (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS school_documents (
  school_id CHAR(36) NOT NULL,
  id CHAR(36) NOT NULL,
  kind VARCHAR(12) NOT NULL,
  name VARCHAR(80) NOT NULL,
  document JSON NOT NULL,
  shared_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (school_id, id),
  CONSTRAINT school_documents_school FOREIGN KEY (school_id) REFERENCES schools (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS lessons (
  school_id CHAR(36) NOT NULL,
  id CHAR(36) NOT NULL,
  document JSON NOT NULL,
  set_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  withdrawn_at DATETIME(3) NULL,
  PRIMARY KEY (school_id, id),
  CONSTRAINT lessons_school FOREIGN KEY (school_id) REFERENCES schools (id) ON DELETE CASCADE
);

-- The school's name stands in the row, so that the student still knows what it was when the school is gone.
CREATE TABLE IF NOT EXISTS hand_ins (
  account_id CHAR(36) NOT NULL,
  id CHAR(36) NOT NULL,
  school_id CHAR(36) NOT NULL,
  school_name VARCHAR(60) NOT NULL,
  lesson_id CHAR(36) NOT NULL,
  lesson_name VARCHAR(60) NOT NULL,
  exercise_id VARCHAR(40) NOT NULL,
  source_id CHAR(36) NOT NULL,
  result JSON NOT NULL,
  handed_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  signed BOOLEAN NULL,
  signed_at DATETIME(3) NULL,
  signed_by VARCHAR(40) NULL,
  words VARCHAR(400) NOT NULL DEFAULT '',
  PRIMARY KEY (account_id, id),
  UNIQUE KEY hand_ins_once (account_id, lesson_id, exercise_id, source_id),
  KEY hand_ins_school (school_id, account_id),
  CONSTRAINT hand_ins_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
