const FORMAT = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" });

/**
 * A day of UTC: "20 Nov 2026".
 *
 * @param time_ms - since 1970
 */
export const dayInWords = (time_ms: number) => FORMAT.format(time_ms);
