// Lines of the screen as a voice should say them.

/** Words of the units as they are spoken. */
const SPOKEN: readonly (readonly [RegExp, string])[] = [
  // Thin and hard spaces between figures are not spoken.
  [/(\d)[\u202f\u00a0](?=\d{3})/g, "$1"],
  [/\u00a0/g, " "],
  [/\bkt\b/g, "knots"],
  [/\bft\/min\b/g, "feet a minute"],
  [/\bft\b/g, "feet"],
  [/\bNM\b/g, "miles"],
  [/(\d) m\b/g, "$1 metres"],
  [/\bkg\b/g, "kilograms"],
  [/\bkm\/h\b/g, "kilometres an hour"],
  [/°C/g, "degrees"],
  [/°/g, " degrees"],
  [/\bhPa\b/g, "hectopascals"],
  [/\bIAS\b/g, "indicated"],
  [/\bV_(\w+)/g, "V $1"],
  [/[·]/g, ","],
  [/−/g, "minus "],
];

/** A line as a voice should say it. */
export function spokenLine(line: string): string {
  return SPOKEN.reduce((text, [pattern, word]) => text.replace(pattern, word), line);
}
