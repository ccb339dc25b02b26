/** Addresses of the stages, in the order in which the work is done. */
export const SLUGS = [
  "aircraft",
  "departure",
  "en-route",
  "engine-out",
  "restart",
  "landing",
  "rehearse",
  "debrief",
] as const;

/** Address of a stage. */
export type Slug = (typeof SLUGS)[number];
