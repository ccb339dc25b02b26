// Times as a pilot tells them: what lasts never less than it does, what is coming never later than it comes.
/** A time rounded up as it is told: to ten seconds, from a hundred on to whole minutes. */
export const told_s = (time_s: number) =>
  time_s <= 100 ? Math.ceil(time_s / 10) * 10 : Math.ceil(time_s / 60 - 0.05) * 60;

/** A time, rounded up: "50 s", "6 min". */
export function minutes(time_s: number): string {
  const told = told_s(time_s);
  return told <= 100 ? `${told} s` : `${told / 60} min`;
}

/** The time until something comes, rounded down: "80 s", "110 s", "6 min". */
export function minutesUntil(time_s: number): string {
  const whole = Math.floor(time_s / 60 + 0.05);
  return whole >= 2 ? `${whole} min` : `${Math.floor(time_s / 10) * 10} s`;
}
