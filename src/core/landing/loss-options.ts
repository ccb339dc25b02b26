// What each thing that loses height would lose by itself, in feet and seconds.
import type { LossAction } from "../situation/landing-plan";
import type { LoseQuestion } from "./lose-question";
import {
  type DragItem,
  FAST_SHARE,
  type FasterGlide,
  type SlopeOf,
  WEAVE_FLOOR,
  type fullTurn,
  type weaving,
} from "./loss-means";

/** One thing that loses height, by itself over all of the way that it may be used on. */
export interface LossOption {
  readonly action: LossAction;
  readonly name: string;
  /** Index of the flap; null for everything else. */
  readonly flap: number | null;
  readonly height_m: number;
  readonly time_s: number;
  /** Fastest equivalent airspeed that it may be used at; null without a limit. */
  readonly limit_mps: number | null;
  /** Why it is not offered; null when it is. */
  readonly refused: string | null;
}

/** What the options are worked out from. */
interface OptionsOf {
  question: LoseQuestion;
  eas_mps: number;
  root: number;
  distance_m: number;
  clean: number;
  ground_mps: number;
  faster: FasterGlide | null;
  turn: ReturnType<typeof fullTurn>;
  weave: ReturnType<typeof weaving>;
  items: readonly DragItem[];
  slope: SlopeOf;
}

/** Every option, over all of the way that it may be used on, with the reason when it is not offered. */
export function lossOptions({
  question,
  eas_mps,
  root,
  distance_m,
  clean,
  ground_mps,
  turn,
  weave,
  items,
  slope,
  faster,
}: OptionsOf): LossOption[] {
  const { height_m, turnFloor_m, certain_m, configuration } = question;
  const weaveRoom =
    weave === null
      ? 0
      : Math.min(Math.max(height_m - WEAVE_FLOOR * turnFloor_m, 0) / (clean + weave.perMetre), distance_m);
  return [
    {
      action: "turn",
      name: "Full turn",
      flap: null,
      height_m: turn.height_m,
      time_s: turn.time_s,
      limit_mps: null,
      refused:
        turn.refused ??
        (height_m - turn.height_m < turnFloor_m ? "It would end under the floor for full turns." : null),
    },
    {
      action: "s-turns",
      name: "S-turns",
      flap: null,
      height_m: weaveRoom * (weave?.perMetre ?? 0),
      time_s: weave === null ? 0 : weaveRoom / weave.ground_mps,
      limit_mps: null,
      refused:
        weave === null ? "Against this wind they make no headway." : weaveRoom <= 0 ? "Too low for turns." : null,
    },
    {
      action: "speed",
      name: "Speed",
      flap: null,
      limit_mps: faster?.eas_mps ?? null,
      height_m: faster === null ? 0 : FAST_SHARE * distance_m * (faster.slope - clean),
      time_s: faster === null ? 0 : (FAST_SHARE * distance_m) / (ground_mps + (faster.eas_mps - eas_mps) / root),
      refused: faster === null ? "It is at its limit already." : faster.refused(distance_m),
    },
    ...items.map((item): LossOption => {
      const now = slope(item.put(configuration), item.eas_mps);
      const room = item.late ? Math.min(certain_m / (now ?? clean), distance_m) : distance_m;
      return {
        action: item.action,
        name: item.name,
        flap: item.flap,
        limit_mps: item.limit_mps,
        height_m: now === null ? 0 : Math.max(room * (now - clean), 0),
        time_s: room / ground_mps,
        refused: item.refused ?? (now === null ? "It cannot be glided at this speed." : null),
      };
    }),
  ];
}
