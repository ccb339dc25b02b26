// The trim string and the rudder's tab: from flights with a bend each to the next bend.
import type { TrimCheck } from "../aircraft/gyroplane";
import { clamp } from "../numeric/clamp";
import { type Outcome, failure, success } from "../outcome";

const DEGREE = Math.PI / 180;
/** Central within this, rad: a string is not read finer. */
const CENTRAL = DEGREE;
/** First bend, and the greatest change from one flight to the next, rad: small bends. Common practice. */
const [FIRST, LARGEST] = [2 * DEGREE, 5 * DEGREE];
/** A bend is not set finer, rad. */
const FINE = 0.1 * DEGREE;
/** Bends that lie closer together say nothing of a slope. */
const APART = 0.5 * DEGREE;

/** What to do with the tab. */
export interface NextBend {
  /** To the left positive. */
  readonly tab_rad: number;
  /** From how it is bent now. */
  readonly change_rad: number;
  readonly kind: "central" | "first" | "line" | "limited";
  /** How far the string moves for each radian of bend; null from one flight. */
  readonly slope: number | null;
}

/**
 * The next bend: where the straight line through the flights has the string central. From one flight a small bend
 * towards the string's side: to the left asks for more right rudder, which a tab bent further left gives.
 *
 * @param checks - the oldest first; the last is how the tab is now
 * @returns `no_checks`; `wrong_way` where the string went with the tab: something else is bent, loose or read wrongly
 * @see common practice; the maker's manual and licensed maintenance decide
 */
export function nextBend(checks: readonly Pick<TrimCheck, "tab_rad" | "string_rad">[]): Outcome<NextBend> {
  const last = checks.at(-1);
  if (!last) return failure("no_checks", "Fly it once at cruise with feet off and note where the string is.", "checks");
  const stays = { tab_rad: last.tab_rad, change_rad: 0 };
  const tabs = checks.map(({ tab_rad }) => tab_rad);
  const apart = Math.max(...tabs) - Math.min(...tabs) >= APART;
  const mean = (of: (check: (typeof checks)[number]) => number) =>
    checks.reduce((sum, check) => sum + of(check), 0) / checks.length;
  const [tab, string] = [mean((check) => check.tab_rad), mean((check) => check.string_rad)];
  const slope = apart
    ? mean((check) => (check.tab_rad - tab) * (check.string_rad - string)) / mean((check) => (check.tab_rad - tab) ** 2)
    : null;
  if (Math.abs(last.string_rad) < CENTRAL) return success({ ...stays, kind: "central", slope });
  if (slope === null) {
    const change_rad = Math.sign(last.string_rad) * FIRST;
    return success({ tab_rad: last.tab_rad + change_rad, change_rad, kind: "first", slope });
  }
  if (!(slope < 0))
    return failure(
      "wrong_way",
      "The string did not go against the tab. Check how both were read, and that tab and rudder are sound, before another bend.",
      "checks",
    );
  const wanted = tab - string / slope - last.tab_rad;
  const change_rad = clamp(wanted, -LARGEST, LARGEST);
  return success({
    tab_rad: last.tab_rad + change_rad,
    change_rad,
    kind: Math.abs(change_rad - wanted) < FINE ? "line" : "limited",
    slope,
  });
}
