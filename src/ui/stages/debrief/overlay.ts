// Other runs laid over the one that is looked at: each from its engine stop on, as height lost and bank over time.
import type { Failure, FoundFlight } from "@/core/track/analyse";
import type { DrawnTrack } from "@/core/track/drawn-track";
import { indexAt, trackValue } from "./track-values";

/** A run beside others. */
export interface OverlaidRun {
  readonly label: string;
  readonly failure: Failure;
  /** Seconds since the stop, height over that at the stop, bank. */
  readonly points: readonly { readonly time_s: number; readonly height_m: number; readonly bank_rad: number }[];
}

/** Most runs over one another: more cannot be told apart. */
const MOST_RUNS = 12;
/** Most points of a run. */
const MOST_POINTS = 400;

/**
 * The runs of a log.
 *
 * @param name - of a stop: how it is told from the others
 * @param except - the how manieth is looked at itself; null for none
 */
export function overlaidRuns(
  drawn: DrawnTrack,
  flights: readonly Pick<FoundFlight, "failures" | "ends_s">[],
  name: (failure: Failure) => string,
  except: number | null,
): OverlaidRun[] {
  const all = flights.flatMap((flight) => flight.failures.map((failure) => ({ failure, ends_s: flight.ends_s })));
  return all
    .filter((_, i) => i !== except)
    .slice(0, MOST_RUNS)
    .map(({ failure, ends_s }) => {
      const [from, to] = [indexAt(drawn, failure.time_s) + 1, indexAt(drawn, failure.back_s ?? ends_s)];
      const stride = Math.max(1, Math.ceil((to - from) / MOST_POINTS));
      const height_m = trackValue(drawn, "altitude_m", failure.time_s);
      const points = [{ time_s: 0, height_m: 0, bank_rad: trackValue(drawn, "bank_rad", failure.time_s) }];
      for (let i = from; i <= to; i += stride)
        points.push({
          time_s: drawn.time_s[i] - failure.time_s,
          height_m: drawn.altitude_m[i] - height_m,
          bank_rad: drawn.bank_rad[i],
        });
      return { label: name(failure), failure, points };
    });
}
