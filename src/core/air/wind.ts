// Wind by height: a surface wind with the 1/7 power law below, layers aloft joined as vectors above. x is east, y
// north; components are of the air's motion (where it blows to). Not here: gusts, thermals, waves, terrain flow.
import { clamp } from "../numeric/clamp";
import { z } from "zod";
import { type Outcome, failure, success } from "../outcome";

/** Wind reported at a height. Direction is where it blows from, true. */
export const WindLayer = z.strictObject({
  altitude_m: z
    .number()
    .min(-500, "A wind layer below −500 m is under the ground.")
    .max(20_000, "Wind layers are used up to 20 000 m (65 000 ft)."),
  from_rad: z
    .number()
    .min(0, "A direction is 0 to 360°.")
    .max(2 * Math.PI + 1e-9, "A direction is 0 to 360°."),
  speed_mps: z.number().min(0, "A wind speed is zero or more.").max(130, "Winds above 250 kt are not met with."),
});

/** @see WindLayer */
export type WindLayer = z.infer<typeof WindLayer>;

/** A column of wind: at the surface (10 m above ground, as stations report it), and aloft in any order. */
export const WindColumn = z.strictObject({
  surface: WindLayer.omit({ altitude_m: true }).nullable(),
  layers: z.array(WindLayer).max(20, "At most 20 wind layers."),
});

/** @see WindColumn */
export type WindColumn = z.infer<typeof WindColumn>;

/** Air motion, m/s east and north. */
export interface WindVector {
  readonly east_mps: number;
  readonly north_mps: number;
}

/** Height at which stations measure, m above ground; and the heights between which the power law is used. */
const STATION_M = 10;
const LAW_MIN_M = 3;
const LAW_MAX_M = 300;
const LAW_POWER = 1 / 7;

/**
 * Growth of wind with height near the ground: 1 at 10 m. @see the 1/7 power law of neutral air over open country,
 * common practice
 */
export function powerLaw(height_m: number): number {
  return (clamp(height_m, LAW_MIN_M, LAW_MAX_M) / STATION_M) ** LAW_POWER;
}

/** Components from a wind's direction (from, true) and speed. */
export function windVector(from_rad: number, speed_mps: number): WindVector {
  return { east_mps: -speed_mps * Math.sin(from_rad), north_mps: -speed_mps * Math.cos(from_rad) };
}

/**
 * Wind as a function of height above a stated ground.
 *
 * Below the lowest layer w = w10·f(h), f = (clip(h, 3 m, 300 m)/10 m)^(1/7). With a surface wind *and* layers the law
 * holds up to 300 m and joins the lowest layer linearly above; a layer lower than that bends the law linearly so that
 * both ends agree. Without a surface wind, w10 is what makes the law meet the lowest layer. Above the highest layer the
 * wind stays as it is there.
 *
 * @param ground_m - elevation of the ground that heights refer to, above mean sea level
 * @returns function of altitude above mean sea level; `layers_repeat` when two layers share an altitude
 */
export function windProfile(column: WindColumn, ground_m: number): Outcome<(altitude_m: number) => WindVector> {
  const layers = column.layers
    .map((layer) => ({ height_m: layer.altitude_m - ground_m, ...windVector(layer.from_rad, layer.speed_mps) }))
    .filter((layer) => layer.height_m > STATION_M)
    .sort((a, b) => a.height_m - b.height_m);
  if (layers.some((layer, i) => i > 0 && layer.height_m === layers[i - 1].height_m)) {
    return failure("layers_repeat", "Two wind layers have the same altitude.", "layers");
  }
  // Layers at or under the station height say nothing that a surface wind would not; the highest of them stands in for
  // one.
  const buried = column.layers
    .filter((layer) => layer.altitude_m - ground_m <= STATION_M)
    .sort((a, b) => b.altitude_m - a.altitude_m)[0];
  const surface = column.surface ?? buried ?? null;
  const lowest = layers[0];
  const w10 = surface
    ? windVector(surface.from_rad, surface.speed_mps)
    : lowest
      ? scaled(lowest, 1 / powerLaw(lowest.height_m))
      : { east_mps: 0, north_mps: 0 };

  const law = (height_m: number): WindVector => scaled(w10, powerLaw(height_m));
  if (!lowest) return success((altitude_m) => law(altitude_m - ground_m));

  const join_m = Math.min(LAW_MAX_M, lowest.height_m);
  const atJoin = law(join_m);
  const below = (height_m: number): WindVector => {
    if (height_m <= join_m) {
      const wind = law(height_m);
      if (lowest.height_m > LAW_MAX_M) return wind;
      const share = Math.max(0, (height_m - STATION_M) / (lowest.height_m - STATION_M));
      return {
        east_mps: wind.east_mps + share * (lowest.east_mps - atJoin.east_mps),
        north_mps: wind.north_mps + share * (lowest.north_mps - atJoin.north_mps),
      };
    }
    return between(atJoin, lowest, (height_m - join_m) / (lowest.height_m - join_m));
  };
  return success((altitude_m) => {
    const height_m = altitude_m - ground_m;
    if (height_m < lowest.height_m) return below(height_m);
    for (let i = 1; i < layers.length; i += 1) {
      if (height_m < layers[i].height_m)
        return between(
          layers[i - 1],
          layers[i],
          (height_m - layers[i - 1].height_m) / (layers[i].height_m - layers[i - 1].height_m),
        );
    }
    return layers[layers.length - 1];
  });
}

function scaled(wind: WindVector, factor: number): WindVector {
  return { east_mps: wind.east_mps * factor, north_mps: wind.north_mps * factor };
}

function between(a: WindVector, b: WindVector, share: number): WindVector {
  return {
    east_mps: a.east_mps + share * (b.east_mps - a.east_mps),
    north_mps: a.north_mps + share * (b.north_mps - a.north_mps),
  };
}
