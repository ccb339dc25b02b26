// The cause check of a rotorcraft: seconds in autorotation, what of the flow fits into them, and where it is left.
import type { CauseItem, Symptom } from "../aircraft/cause-item";
import { M_PER_FT } from "../quantities/constants";
import { flowFor } from "./cause-flow";

/** Height at which a pilot stops looking for causes and lands, m: 500 ft above the place. Common practice. */
export const ROTOR_LEAVE_M = 500 * M_PER_FT;

/** An item of the flow against the seconds that there are. */
export interface CheckedItem {
  readonly item: CauseItem;
  /** From the failure until it is done. */
  readonly done_s: number;
  /** Height above the place when it is done. */
  readonly height_m: number;
  readonly fits: boolean;
}

/** What of the flow fits. */
export interface RotorCheck {
  readonly items: readonly CheckedItem[];
  /** From the failure to the height at which it is left; 0 below it. */
  readonly available_s: number;
  readonly fitting: number;
}

/**
 * The flow in order of the symptom, against the seconds above the height at which it is left.
 *
 * @param height_m - above the place of landing when the engine stops; 0 to 10,000
 * @param sink_mps - steady; more than 0
 * @param entry_m - height that the entry costs
 * @param reaction_s - before the first item
 * @see arithmetic: t = (h − entry − leave)/w
 */
export function rotorCheck({
  height_m,
  sink_mps,
  entry_m,
  reaction_s,
  flow,
  symptom,
}: {
  readonly height_m: number;
  readonly sink_mps: number;
  readonly entry_m: number;
  readonly reaction_s: number;
  readonly flow: readonly CauseItem[];
  readonly symptom: Symptom | null;
}): RotorCheck {
  const available_s = Math.max((height_m - entry_m - ROTOR_LEAVE_M) / sink_mps, 0);
  let done_s = reaction_s;
  const items = flowFor(flow, symptom).map((item): CheckedItem => {
    done_s += item.time_s;
    return {
      item,
      done_s,
      height_m: Math.max(height_m - entry_m - sink_mps * done_s, 0),
      fits: done_s <= available_s,
    };
  });
  return { items, available_s, fitting: items.filter(({ fits }) => fits).length };
}
