CREATE TABLE aircraft (
  id VARCHAR(64) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  name VARCHAR(60) NOT NULL,
  document JSON NOT NULL,
  updated_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  KEY aircraft_account (account_id, name),
  CONSTRAINT aircraft_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

CREATE TABLE aerodromes (
  id VARCHAR(64) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  name VARCHAR(60) NOT NULL,
  kind ENUM('aerodrome', 'helipad') NOT NULL,
  latitude_deg DOUBLE NOT NULL,
  longitude_deg DOUBLE NOT NULL,
  elevation_m DOUBLE NOT NULL,
  KEY aerodromes_account (account_id, name),
  CONSTRAINT aerodromes_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

CREATE TABLE runways (
  id VARCHAR(64) NOT NULL PRIMARY KEY,
  aerodrome_id VARCHAR(64) NOT NULL,
  surface VARCHAR(12) NOT NULL,
  width_m DOUBLE NOT NULL,
  a_designator VARCHAR(12) NOT NULL,
  a_latitude_deg DOUBLE NOT NULL,
  a_longitude_deg DOUBLE NOT NULL,
  a_elevation_m DOUBLE NOT NULL,
  a_displaced_m DOUBLE NOT NULL,
  b_designator VARCHAR(12) NOT NULL,
  b_latitude_deg DOUBLE NOT NULL,
  b_longitude_deg DOUBLE NOT NULL,
  b_elevation_m DOUBLE NOT NULL,
  b_displaced_m DOUBLE NOT NULL,
  CONSTRAINT runways_aerodrome FOREIGN KEY (aerodrome_id) REFERENCES aerodromes (id) ON DELETE CASCADE
);

CREATE TABLE landing_sites (
  id VARCHAR(64) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  name VARCHAR(60) NOT NULL,
  kind ENUM('field', 'beach') NOT NULL,
  notes VARCHAR(300) NOT NULL,
  strip JSON NOT NULL,
  KEY landing_sites_account (account_id, name),
  CONSTRAINT landing_sites_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

CREATE TABLE terrains (
  id VARCHAR(64) NOT NULL PRIMARY KEY,
  account_id CHAR(36) NOT NULL,
  name VARCHAR(80) NOT NULL,
  origin_latitude_deg DOUBLE NOT NULL,
  origin_longitude_deg DOUBLE NOT NULL,
  west_m DOUBLE NOT NULL,
  south_m DOUBLE NOT NULL,
  cell_m DOUBLE NOT NULL,
  columns_count INT NOT NULL,
  rows_count INT NOT NULL,
  -- gzip of 16-bit little-endian metres, rows from the south-west
  elevations LONGBLOB NOT NULL,
  KEY terrains_account (account_id, name),
  CONSTRAINT terrains_account FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
