/** Minutes and seconds, "2:05"; a time below zero is none. */
export function formatClock(time_s: number): string {
  const whole = Math.max(Math.round(time_s), 0);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
}
