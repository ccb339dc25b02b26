/** Addresses of the stages, in the order in which the work is done, and of what stands beside them: all that the server
 * knows of them. */
export const SLUGS: readonly string[] = [
  "aircraft",
  "departure",
  "en-route",
  "engine-out",
  "restart",
  "landing",
  "rehearse",
  "debrief",
  "places",
  "today",
];
