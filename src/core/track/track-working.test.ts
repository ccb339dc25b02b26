import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces } from "../../../demo/read-demo";
import { demoLog } from "../../../demo/read-logs";
import { landingEnds } from "../landing/landing-end";
import { analyse } from "./analyse";
import { readLog } from "./formats/read-log";
import { measuresCsv } from "./measures-csv";
import { trackWorking } from "./track-working";

function analysed(file: string, aircraft: string) {
  const log = readLog(demoLog(file));
  if (!log.ok) throw new Error(log.issue.message);
  const found = analyse(log.value, {
    deviation_K: 8,
    wind: null,
    calibration: null,
    aircraft: demoAircraft(aircraft),
    mass_kg: demoAircraft(aircraft).mass.usual_kg,
    runways: landingEnds(demoPlaces()),
    stops: null,
  });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("the working of a log", () => {
  it("holds every thing that was found, under a name of its own", () => {
    const names = (file: string, aircraft: string) =>
      new Set(trackWorking(analysed(file, aircraft)).map(({ figure }) => figure));
    expect([...names("turnback.igc", "alder-s1")]).toEqual([
      "log",
      "wind",
      "landing 1",
      "failure 1.1",
      "glide 1.1.1",
      "turn 1.1",
    ]);
    expect(names("minimum-control.csv", "larch-t2")).toContain("slowed 1.1");
  });

  it("goes out as a table of the same steps", () => {
    const found = analysed("minimum-control.csv", "larch-t2");
    const rows = measuresCsv(found).trim().split("\n");
    expect(rows[0]).toBe("figure,symbol,meaning,value,unit,source");
    expect(rows).toHaveLength(trackWorking(found).length + 1);
    expect(rows.some((row) => row.startsWith("slowed 1.1,V2,Least indicated,34."))).toBe(true);
  });
});
