-- What stands in an approach, and what can hurt somebody on a surveyed site.
ALTER TABLE runways ADD COLUMN a_obstacle JSON NULL, ADD COLUMN b_obstacle JSON NULL;
ALTER TABLE landing_sites ADD COLUMN hazards JSON NULL;
