-- Crews of a flight by hand: without a run of a drill, and with what is shown of the flight. Of each part only the
-- latest is kept; its revision tells a browser whether it has it.
ALTER TABLE crews MODIFY run JSON NULL;

CREATE TABLE IF NOT EXISTS crew_shown (
  crew_id CHAR(36) NOT NULL,
  part VARCHAR(8) NOT NULL,
  revision INT NOT NULL,
  body JSON NOT NULL,
  PRIMARY KEY (crew_id, part),
  CONSTRAINT crew_shown_crew FOREIGN KEY (crew_id) REFERENCES crews (id) ON DELETE CASCADE
);
