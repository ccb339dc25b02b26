import type { Polar } from "../aircraft/polar";
import { type Outcome, failure, success } from "../outcome";
import { RHO0 } from "../quantities/constants";
import type { LegPerformance } from "./glide-leg";
import { glidingTurn, turnSpeed } from "./gliding-turn";
import type { StraightGlide } from "./straight-glide";

/** How turns are flown. */
export interface Turning {
  readonly bank_rad: number;
  /** k: speed in a turn over the stall speed there. */
  readonly stallMargin: number;
}

/**
 * What a fixed wing does in the straight glide and in the turns of a path.
 *
 * @param glide - the straight glide flown: best glide, or the speed to fly
 * @returns `bank_outside`, `margin_outside` for turns that are not flown
 */
export function glidePerformance(
  polar: Polar,
  glide: StraightGlide,
  { bank_rad, stallMargin }: Turning,
): Outcome<LegPerformance> {
  if (!(bank_rad > 0.05 && bank_rad < 1.31))
    return failure("bank_outside", "A bank between 3° and 75° is needed to turn.", "choices.bank_rad");
  if (!(stallMargin >= 1.05))
    return failure("margin_outside", "A stall margin of at least 1.05 is needed.", "choices.stallMargin");
  const turn = glidingTurn(polar, turnSpeed(polar, bank_rad, stallMargin).cl, bank_rad, RHO0);
  return success({
    straightSinkEas_mps: glide.sinkEas_mps,
    straightRatio: glide.ratio,
    straightHorizontalEas_mps: glide.eas_mps * Math.cos(glide.angle_rad),
    turnSinkEas_mps: turn.sink_mps,
    turnRadiusSeaLevel_m: turn.radius_m,
    turnHeightPerRadianSeaLevel_m: turn.heightPerRadian_m,
  });
}
