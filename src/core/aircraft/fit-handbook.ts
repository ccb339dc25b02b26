// A polar from what a handbook prints: best glide speed and ratio, stall speeds by flap, and any further speed and sink
// points. Not here: fitting flown glides in wind (they come with their own scatter), propulsion.
import { type Outcome, failure, success } from "../outcome";
import { RHO0, G0 } from "../quantities/constants";

/** A glide that was measured or printed: equivalent airspeed and sink at sea-level density, m/s. */
export interface SinkPoint {
  readonly eas_mps: number;
  readonly sink_mps: number;
  /** Weight against the handbook's two figures, which count 1 each. */
  readonly weight: number;
}

/** The figures to fit, all at one mass and clean of flap. */
export interface HandbookFigures {
  readonly mass_kg: number;
  readonly wingArea_m2: number;
  readonly span_m: number;
  readonly vbg_mps: number;
  readonly bestGlideRatio: number;
  /** Equivalent airspeeds, level, by flap from up to landing. */
  readonly stall_mps: readonly { readonly flap: string; readonly speed_mps: number }[];
  readonly points: readonly SinkPoint[];
}

/** One printed figure beside the model's. */
export interface Residual {
  readonly name: string;
  readonly unit: "m/s" | "";
  readonly book: number;
  readonly model: number;
}

/** A fitted polar. */
export interface HandbookFit {
  readonly cd0: number;
  readonly k: number;
  readonly clMax: readonly { readonly flap: string; readonly clMax: number }[];
  /** Share of the ideal wing's induced drag: 1/(π·AR·k). */
  readonly oswald: number;
  readonly residuals: readonly Residual[];
  /** What looks wrong about the fit, in a pilot's words; empty when nothing does. */
  readonly doubts: readonly string[];
}

/**
 * What aeroplanes are met with; beyond it a typed figure is more likely wrong than the aeroplane strange. Common
 * practice.
 */
const OSWALD_RANGE = [0.5, 1] as const;
const CD0_RANGE = [0.012, 0.09] as const;
const CLMAX_RANGE = [1, 3.2] as const;
/** A model this far from the book, of the figure, is pointed at. */
const LARGE_RESIDUAL = 0.05;

/**
 * Fits CD0, k and CLmax by flap to a handbook.
 *
 * Best glide gives two equations that are linear in CD0 and k: the polar passes through (CL*, CL*·ε), and there CD0 =
 * k·CL*². A point of speed V and sink w gives CD0 + k·CL² = CD with CL = (W/S)·cosγ/q, CD = (W/S)·sinγ/q, sinγ = w/V.
 * All are solved by least squares, each relative to its CD.
 *
 * @returns `points_outside` for a point that sinks faster than it flies, `fit_impossible` when CD0 or k comes out
 *   zero or below
 */
export function fitHandbook(figures: HandbookFigures): Outcome<HandbookFit> {
  const { mass_kg, wingArea_m2, span_m, vbg_mps, bestGlideRatio } = figures;
  const wingLoading = (mass_kg * G0) / wingArea_m2;
  const coefficients = (eas_mps: number, sinAngle: number) => {
    const q = (RHO0 / 2) * eas_mps ** 2;
    return { cl: (wingLoading * Math.sqrt(1 - sinAngle ** 2)) / q, cd: (wingLoading * sinAngle) / q };
  };
  const best = coefficients(vbg_mps, 1 / Math.hypot(1, bestGlideRatio));
  // Rows a·CD0 + b·k = c, each of weight w.
  const rows = [
    { a: 1, b: best.cl ** 2, c: best.cd, w: 1 / best.cd },
    { a: 1, b: -(best.cl ** 2), c: 0, w: 1 / best.cd },
  ];
  for (const [i, point] of figures.points.entries()) {
    if (!(point.sink_mps > 0 && point.sink_mps < point.eas_mps && point.weight >= 0))
      return failure(
        "points_outside",
        `Point ${i + 1} sinks at ${point.sink_mps} m/s while flying ${point.eas_mps} m/s: that is no glide.`,
        `points.${i}`,
      );
    const { cl, cd } = coefficients(point.eas_mps, point.sink_mps / point.eas_mps);
    rows.push({ a: 1, b: cl ** 2, c: cd, w: Math.sqrt(point.weight) / cd });
  }
  const sum = (f: (row: (typeof rows)[number]) => number) =>
    rows.reduce((total, row) => total + row.w ** 2 * f(row), 0);
  const [aa, ab, bb, ac, bc] = [
    sum((r) => r.a * r.a),
    sum((r) => r.a * r.b),
    sum((r) => r.b * r.b),
    sum((r) => r.a * r.c),
    sum((r) => r.b * r.c),
  ];
  const determinant = aa * bb - ab * ab;
  const cd0 = (ac * bb - bc * ab) / determinant;
  const k = (aa * bc - ab * ac) / determinant;
  if (!(cd0 > 0 && k > 0))
    return failure(
      "fit_impossible",
      "No polar fits these figures: drag without lift, or drag by lift, comes out below zero. Check speeds and sinks.",
      "points",
    );

  const clMax = figures.stall_mps.map(({ flap, speed_mps }) => ({
    flap,
    clMax: (2 * wingLoading) / (RHO0 * speed_mps ** 2),
  }));
  const oswald = 1 / (Math.PI * (span_m ** 2 / wingArea_m2) * k);
  const bestCl = Math.sqrt(cd0 / k);
  const residuals: Residual[] = [
    {
      name: "best glide speed",
      unit: "m/s",
      book: vbg_mps,
      model: Math.sqrt((2 * wingLoading) / (RHO0 * Math.hypot(bestCl, 2 * cd0))),
    },
    { name: "best glide ratio", unit: "", book: bestGlideRatio, model: 1 / (2 * Math.sqrt(k * cd0)) },
    ...figures.points.map((point, i): Residual => {
      const { cl, cd } = coefficients(point.eas_mps, point.sink_mps / point.eas_mps);
      return {
        name: `sink of point ${i + 1}`,
        unit: "m/s",
        book: point.sink_mps,
        model: (point.sink_mps * (cd0 + k * cl ** 2)) / cd,
      };
    }),
  ];
  return success({ cd0, k, clMax, oswald, residuals, doubts: doubtsOf({ cd0, oswald, clMax, residuals }) });
}

/** Stalling speed, equivalent, level, of a mass, wing area and CLmax, m/s. */
export function levelStall_mps(mass_kg: number, wingArea_m2: number, clMax: number): number {
  return Math.sqrt((2 * mass_kg * G0) / (wingArea_m2 * RHO0 * clMax));
}

function doubtsOf({
  cd0,
  oswald,
  clMax,
  residuals,
}: Pick<HandbookFit, "cd0" | "oswald" | "clMax" | "residuals">): string[] {
  const outside = (value: number, [low, high]: readonly [number, number]) => !(value >= low && value <= high);
  const doubts: string[] = [];
  if (outside(oswald, OSWALD_RANGE))
    doubts.push(
      `The induced drag is that of a wing ${oswald > 1 ? "better than the ideal one" : "half as good as the ideal one or worse"} (e ${oswald.toFixed(2)}): check best glide speed, mass, wing area and span.`,
    );
  if (outside(cd0, CD0_RANGE))
    doubts.push(
      `CD0 ${cd0.toFixed(4)} is ${cd0 < CD0_RANGE[0] ? "lower" : "higher"} than aeroplanes are met with: check best glide ratio and speed.`,
    );
  for (const { flap, clMax: value } of clMax)
    if (outside(value, CLMAX_RANGE))
      doubts.push(
        `CLmax ${value.toFixed(2)} with flap ${flap} is not met with: check that stall speed, its unit and the mass it is printed for.`,
      );
  for (const { name, book, model } of residuals)
    if (Math.abs(model / book - 1) > LARGE_RESIDUAL)
      doubts.push(
        `The model's ${name} is ${Math.abs((model / book - 1) * 100).toFixed(0)} % ${model > book ? "above" : "below"} the figure given: the figures contradict each other.`,
      );
  return doubts;
}
