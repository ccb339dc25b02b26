// How much an account may keep.

const MB = 1024 * 1024;

/** By kind of account. All of a person's rows fit into one archive. */
export const QUOTAS = {
  user: {
    situations: 2000,
    aircraft: 1000,
    places: 2000,
    terrains: 12,
    procedures: 200,
    flightTests: 200,
    runs: 1000,
    flights: 400,
    logs: 500,
    reviews: 20_000,
    testCards: 200,
    entries: 2000,
    rules: 50,
    attachments: 200,
    handIns: 2000,
    bytes: 28 * MB,
  },
  guest: {
    situations: 50,
    aircraft: 20,
    places: 100,
    terrains: 2,
    procedures: 20,
    flightTests: 20,
    runs: 50,
    flights: 20,
    logs: 20,
    reviews: 2000,
    testCards: 20,
    entries: 50,
    rules: 20,
    attachments: 10,
    handIns: 200,
    bytes: 8 * MB,
  },
} as const;
