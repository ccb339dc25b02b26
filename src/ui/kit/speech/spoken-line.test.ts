import { describe, expect, it } from "vitest";
import { formatSi } from "@/core/quantities/units";
import { spokenLine } from "./spoken-line";

describe("a line as it is spoken", () => {
  it.each([
    [
      `From ${formatSi("height", "ft", 426.72)}: turn back left, 45°, ${formatSi("speed", "kt", 36)}.`,
      "From 1400 feet: turn back left, 45 degrees, 70 knots.",
    ],
    [
      `${formatSi("length", "m", 1150)} left, QNH ${formatSi("pressure", "hPa", 101_600)}`,
      "1150 metres left, QNH 1016 hectopascals",
    ],
    [`V_2 and ${formatSi("verticalSpeed", "fpm", -1.016)}`, "V 2 and minus 200 feet a minute"],
    [`${formatSi("temperature", "degC", 285.15)}, 66 kt IAS`, "12 degrees, 66 knots indicated"],
  ])("%s", (line, spoken) => {
    expect(spokenLine(line)).toBe(spoken);
  });
});
