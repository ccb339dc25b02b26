// What cannot be true of a place, and what is worth a second look. The schema has seen every figure by itself; here
// they are held against each other.
import { type LatLon, geodesicBetween } from "../earth/geodesic";
import { degrees, wrapHalfTurn } from "../quantities/angle";
import { crossesItself } from "./outline";
import { type Place, type Strip, isAerodrome, stripsOf } from "./place";
import { magneticHeading_rad, stripLine } from "./strip-line";

/** Something about a place: a fault keeps it from being stored, a caution does not. */
export interface PlaceFault {
  readonly severity: "fault" | "caution";
  /** Field of the document, dotted. */
  readonly path: string;
  readonly message: string;
}

/** Shorter no aeroplane lands, longer no runway is, m. */
const [SHORTEST_M, LONGEST_M] = [50, 6000];
/** A beach or field may be longer. */
const LONGEST_SITE_M = 20_000;
/** A runway farther from its aerodrome than this is somebody else's, m. */
const FARTHEST_M = 8000;
/** A number off its direction by more than this is wrong; within it variation has moved on since it was painted. */
const NUMBER_OFF_RAD = (15 * Math.PI) / 180;
/** Steeper than this is a slip of the pen, rise over run; steeper than the other is unusual. */
const [STEEPEST, STEEP] = [0.2, 0.06];
/** Declared and measured distances may differ by rounding and survey, m. */
const SURVEY_M = 15;

const fault = (path: string, message: string): PlaceFault => ({ severity: "fault", path, message });
const caution = (path: string, message: string): PlaceFault => ({ severity: "caution", path, message });
const whole_m = (length_m: number) => `${Math.round(length_m)} m`;

/**
 * Faults and cautions of a place whose figures are each within their range.
 *
 * @param day - that magnetic directions are of
 */
export function placeFaults(place: Place, day: Date): PlaceFault[] {
  const faults: PlaceFault[] = [];
  const strips = stripsOf(place);
  strips.forEach((strip, i) => {
    const path = isAerodrome(place) ? `runways.${i}` : "strip";
    faults.push(...stripFaults(strip, path, !isAerodrome(place), day));
  });
  if (isAerodrome(place)) {
    if (isNowhere(place.position)) faults.push(fault("position", NOWHERE));
    strips.forEach((strip, i) => {
      const away_m = geodesicBetween(place.position, stripLine(strip.ends).middle).distance_m;
      if (away_m > FARTHEST_M)
        faults.push(
          fault(
            `runways.${i}`,
            `This runway lies ${Math.round(away_m / 1000)} km from ${place.name}: is a sign wrong?`,
          ),
        );
    });
    faults.push(...twice(strips));
  } else if (place.outline && crossesItself(place.outline))
    faults.push(fault("outline", "The outline crosses itself."));
  return faults;
}

const NOWHERE = "0° north 0° east is open sea off Africa: a position is missing.";
/** Nobody flies from within a mile of it. */
const isNowhere = ({ latitude_deg, longitude_deg }: LatLon) =>
  Math.abs(latitude_deg) < 0.015 && Math.abs(longitude_deg) < 0.015;

function twice(strips: readonly Strip[]): PlaceFault[] {
  const names = strips.flatMap((strip) => strip.ends.map((end) => end.designator));
  return [...new Set(names.filter((name, i) => names.indexOf(name) !== i))].map((name) =>
    fault("runways", `Two ends are called ${name}.`),
  );
}

function stripFaults(strip: Strip, path: string, site: boolean, day: Date): PlaceFault[] {
  const faults: PlaceFault[] = [];
  const [a, b] = strip.ends;
  if (isNowhere(a.threshold) || isNowhere(b.threshold)) return [fault(`${path}.ends`, NOWHERE)];
  const { length_m, headingsTrue_rad, slope } = stripLine(strip.ends);
  const longest_m = site ? LONGEST_SITE_M : LONGEST_M;
  if (length_m < SHORTEST_M)
    return [
      fault(`${path}.ends`, `The thresholds lie ${whole_m(length_m)} apart: a strip is ${SHORTEST_M} m at least.`),
    ];
  if (length_m > longest_m)
    return [
      fault(
        `${path}.ends`,
        `The thresholds lie ${length_m > 20_000 ? `${Math.round(length_m / 1000)} km` : whole_m(length_m)} apart: is a sign or a digit wrong?`,
      ),
    ];
  if (a.displaced_m + b.displaced_m >= length_m - SHORTEST_M)
    faults.push(fault(`${path}.ends.0.displaced_m`, "The displaced thresholds cross each other."));
  if (strip.width_m > length_m) faults.push(fault(`${path}.width_m`, "It is wider than it is long."));
  if (Math.abs(slope) > STEEPEST)
    faults.push(
      fault(`${path}.ends`, `It rises ${Math.round(Math.abs(slope) * 100)} % from end to end: check the elevations.`),
    );
  else if (Math.abs(slope) > STEEP)
    faults.push(caution(`${path}.ends`, `It rises ${(Math.abs(slope) * 100).toFixed(1)} % from end to end.`));
  if (a.designator === b.designator) faults.push(fault(`${path}.ends`, "Both ends have the same name."));
  strip.ends.forEach((end, i) => {
    const at = `${path}.ends.${i}`;
    faults.push(...declaredFaults(end.declared, length_m, end.displaced_m, at));
    const number = /^(0[1-9]|[12]\d|3[0-6])[LRC]?$/.exec(end.designator);
    if (!number) return;
    const magnetic_rad = magneticHeading_rad(end.threshold, headingsTrue_rad[i], day);
    const off = Math.abs(wrapHalfTurn(magnetic_rad - (Number(number[1]) * 10 * Math.PI) / 180));
    if (off > Math.PI / 2)
      faults.push(
        fault(
          at,
          `${end.designator} lies where one lands towards ${Math.round(degrees(magnetic_rad))}° magnetic: the thresholds are crossed.`,
        ),
      );
    else if (off > NUMBER_OFF_RAD)
      faults.push(
        caution(at, `${end.designator} lands towards ${Math.round(degrees(magnetic_rad))}° magnetic as it is drawn.`),
      );
  });
  return faults;
}

function declaredFaults(
  declared: Strip["ends"][number]["declared"],
  length_m: number,
  displaced_m: number,
  path: string,
): PlaceFault[] {
  if (!declared) return [];
  const { tora_m, toda_m, asda_m, lda_m } = declared;
  const faults: PlaceFault[] = [];
  if (toda_m < tora_m) faults.push(fault(`${path}.declared.toda_m`, "TODA is not less than TORA."));
  if (asda_m < tora_m) faults.push(fault(`${path}.declared.asda_m`, "ASDA is not less than TORA."));
  if (lda_m > length_m - displaced_m + SURVEY_M)
    faults.push(
      fault(
        `${path}.declared.lda_m`,
        `LDA is more than the ${whole_m(length_m - displaced_m)} that lie beyond the threshold.`,
      ),
    );
  if (tora_m > length_m + SURVEY_M)
    faults.push(fault(`${path}.declared.tora_m`, `TORA is more than the ${whole_m(length_m)} between the thresholds.`));
  return faults;
}
