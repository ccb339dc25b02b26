// A flight in words: what to do now, and how it went.
import { type Band, LIMITS, type ToHold, outOf, seconds } from "@/core/exercise/flown-result";
import { AT, liveSide, touchOf } from "@/core/exercise/glide-rows";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import { FULL, THROTTLE } from "@/core/simulation/controls";
import type { FlightView, RotorView } from "@/core/simulation/flight-view";
import type { Format } from "@/ui/kit/units/units-store";

interface Said {
  readonly lead: string;
  readonly rest: string;
  readonly good: boolean;
}

const DEG = 180 / Math.PI;
/** A throttle farther forward than this is open. */
const OPEN = 0.3 * FULL;

/** The one thing to do now. */
export function nowWords(view: FlightView, held_mps: number, running: boolean, format: Format): Said {
  if (view.ended) return endWords(view.ended, format);
  if (!running)
    return view.time_s < 0.1
      ? { lead: "Ready.", rest: "Esc or Go on begins and pauses. Arrows fly.", good: true }
      : { lead: "Paused.", rest: "Esc or Go on when you are ready.", good: true };
  if (view.onGround) return groundWords(view);
  if (view.rotor) return rotorWords(view, view.rotor, held_mps, format);
  const over = view.ias_mps / view.stall_mps;
  if (view.stallWarning || over < LIMITS.overStall)
    return {
      lead: "Nose down, now.",
      rest: `${format("speed", view.ias_mps)}, the stall is at ${format("speed", view.stall_mps)} here.`,
      good: false,
    };
  const dead = view.engines.filter((engine) => !engine.burns).length;
  const off = view.ias_mps - held_mps;
  if (dead > 0 && Math.abs(off) > 3)
    return {
      lead: off < 0 ? "Nose down." : "Nose up, gently.",
      rest: `${format("speed", view.ias_mps)} instead of ${format("speed", held_mps)}.`,
      good: false,
    };
  const fire = fireWords(view);
  if (fire) return fire;
  if (Math.abs(view.ball) > 0.8 && dead === 0)
    return { lead: `${view.ball > 0 ? "Right" : "Left"} foot.`, rest: "The ball is out.", good: false };
  return {
    lead:
      dead === 0
        ? "It runs."
        : dead === view.engines.length
          ? "Hold the speed, fly to a place."
          : "Held on one engine.",
    rest: dead > 0 ? `${format("verticalSpeed", Math.abs(view.vsi_mps))} ${view.vsi_mps < 0 ? "down" : "up"}.` : "",
    good: true,
  };
}

/**
 * On its wheels: an engine that is gone on the roll ends a take-off; a jet's decides at V1. On its skids a helicopter
 * is down once its collective is.
 */
function groundWords({ groundSpeed_mps, engines, controls, rotor }: FlightView): Said {
  const skids = rotor !== null && rotor.clock !== null;
  if (groundSpeed_mps < 0.5)
    return { lead: "It stands.", rest: `End here, or ${skids ? "collective up" : "open the throttle"}.`, good: true };
  if (skids) return { lead: "Collective down, gently.", rest: "Level and straight, until it stands.", good: true };
  const open = engines.some((_, i) => controls[THROTTLE + i] > OPEN);
  if (!open || engines.every(({ burns }) => burns)) return { lead: "Keep it straight.", rest: "", good: true };
  if (engines.length === 1) return { lead: "Throttle closed, brakes.", rest: "Straight ahead.", good: false };
  return engines[0].spool === null
    ? { lead: "Throttles closed, brakes.", rest: "On the ground it stops.", good: false }
    : { lead: "Below V1 stop.", rest: "From V1 on keep it straight, and go.", good: false };
}

/** An engine burns: said once speed and rotor are held, for as long as it is fed. */
function fireWords({ engines }: FlightView): Said | null {
  const burning = engines.findIndex(({ fire }) => fire);
  if (burning < 0) return null;
  const which = engines.length === 1 ? "Fire." : `Fire, ${burning === 0 ? "left" : "right"} engine.`;
  return { lead: which, rest: "It is flown; now its drill, in order. Then down at once.", good: false };
}

/** Rotor speeds and loads at which something is said: common practice; below 95 % the horn sounds. */
export const ROTOR_LIMITS = { low: 0.95, high: 1.08, carried: 0.5 } as const;

/** Sinking faster than this on one engine it is not held, m/s. */
const SINKS_MPS = 1.5;

/** The one thing to do now, of a rotor. */
function rotorWords(view: FlightView, rotor: RotorView, held_mps: number, format: Format): Said {
  const turns = `Rotor ${formatNumber(rotor.nr * 100)} %.`;
  const fault = rotor.clock ? drivenFault(rotor, rotor.clock, view.height_m) : carriedFault(rotor);
  if (fault) return { lead: fault.lead, rest: fault.rest ?? turns, good: false };
  const dead = view.engines.filter((engine) => !engine.burns).length;
  const all = dead === view.engines.length;
  const off = view.ias_mps - held_mps;
  if (all && Math.abs(off) > 4)
    return {
      lead: off < 0 ? "Nose down." : "Nose up, gently.",
      rest: `${format("speed", view.ias_mps)} instead of ${format("speed", held_mps)}. ${turns}`,
      good: false,
    };
  const fire = fireWords(view);
  if (fire) return fire;
  if (dead > 0 && !all && view.vsi_mps < -SINKS_MPS)
    return {
      lead: "It sinks on one engine.",
      rest: `${format("verticalSpeed", -view.vsi_mps)} down: nose down for speed where there is height, or down as briefed. ${turns}`,
      good: false,
    };
  return {
    lead: dead === 0 ? "It runs." : all ? "Into the wind, to a place." : "Held on one engine.",
    rest: `${turns} ${format("verticalSpeed", Math.abs(view.vsi_mps))} ${view.vsi_mps < 0 ? "down" : "up"}.`,
    good: true,
  };
}

type Fault = { readonly lead: string; readonly rest?: string } | null;

/** Lower than this the rotor's speed is spent on the touch, m. */
const CUSHION_M = 10;

function drivenFault(
  { nr }: RotorView,
  { exceedances, band }: NonNullable<RotorView["clock"]>,
  height_m: number,
): Fault {
  if (nr < ROTOR_LIMITS.low)
    return height_m > CUSHION_M
      ? { lead: "Collective down." }
      : { lead: "Level, cushion it.", rest: `What the rotor has left, ${formatNumber(nr * 100)} %, is for the touch.` };
  if (nr > ROTOR_LIMITS.high) return { lead: "Collective up a little." };
  const gone = exceedances.at(-1);
  return band !== null && gone
    ? { lead: "Less power.", rest: `${gone.name}: more than is allowed. The engine is looked at.` }
    : null;
}

const carriedFault = ({ carries }: RotorView): Fault =>
  carries < ROTOR_LIMITS.carried ? { lead: "Stick back, gently.", rest: "The rotor is hardly loaded." } : null;

/** How it ended. */
export function endWords(ended: NonNullable<FlightView["ended"]>, format: Format): Said {
  switch (ended.kind) {
    case "departed":
      return {
        lead: "Departed: the model ends here.",
        rest: "It was stalled and turning. Go back ten seconds: nose down, feet against the turn.",
        good: false,
      };
    case "too-fast":
      return {
        lead: "Too fast: it ends here.",
        rest: "Beyond the never-exceed speed nothing is known of it.",
        good: false,
      };
    case "rotor-slow":
      return {
        lead: "Rotor too slow: it ends here.",
        rest: "Below 60 % it does not come back. Go back ten seconds: collective down at once, nose for speed.",
        good: false,
      };
    case "unloaded":
      return {
        lead: "Rotor unloaded: it ends here.",
        rest: "It carried nothing for a second and slows down. Go back ten seconds: ease the nose down, never push.",
        good: false,
      };
    case "overload":
      return {
        lead: "Too much load: it ends here.",
        rest: "Beyond half again of the limit load nothing is known of it.",
        good: false,
      };
    case "crash":
    case "water":
      return {
        lead: ended.kind === "water" ? "Water." : "It broke at the ground.",
        rest: `Touched at ${format("speed", ended.speed_mps)} over the ground, sinking ${format("verticalSpeed", ended.sink_mps, "up")}.`,
        good: ended.kind === "water" && ended.sink_mps < 2.5,
      };
  }
}

/** A tolerance as it was held. */
export interface HeldBand {
  readonly of: Band;
  readonly name: string;
  readonly within: string;
  readonly out_s: number;
  /** Whether it was out, row by row. */
  readonly out: readonly boolean[];
}

const isOnOne = (row: readonly number[]) => liveSide(row[AT.thrust0], row[AT.thrust1]) !== 0;

/** Speed, bank, ball and margin over the stall, in the air, since it failed. */
export function bandsOf(rows: readonly (readonly number[])[], held: ToHold, format: Format): readonly HeldBand[] {
  const { speed_mps, bank_rad } = held;
  const out = outOf(rows, held);
  const winged = held.margin === LIMITS.overStall;
  const band = (name: string, within: string, of: Band): HeldBand => ({
    of,
    name,
    within,
    out: out[of],
    out_s: seconds(out[of]),
  });
  const within =
    speed_mps === null
      ? []
      : [`${format("speed", speed_mps - LIMITS.slower_mps)} to ${format("speed", speed_mps + LIMITS.faster_mps)}`];
  return [
    ...within.map((words) => band("Speed", words, "speed")),
    band("Bank", `up to ${formatNumber((bank_rad + LIMITS.steeper_rad) * DEG)}°`, "bank"),
    winged
      ? band("Ball", rows.some(isOnOne) ? "½, to the live side 1" : "± ½", "ball")
      : band("Slip", `up to ${formatNumber(LIMITS.slip_rad * DEG)}°`, "ball"),
    winged ? band("Over stall", "≥ 1.10", "stall") : band("Rotor", "above its least", "stall"),
  ];
}

/**
 * How it went.
 *
 * @param saved - the single thing that would have saved most height; null where that cannot be said
 */
export function flownWords(
  rows: readonly (readonly number[])[],
  bands: readonly HeldBand[],
  ended: FlightView["ended"],
  saved: string | null,
  format: Format,
): Said {
  const touch = touchOf(rows);
  const worst = bands.toSorted((a, b) => b.out_s - a.out_s)[0];
  const what =
    saved !== null
      ? ` ${saved}`
      : worst && worst.out_s > 1
        ? ` ${worst.name} was out for ${formatNumber(worst.out_s)} s: hold that first.`
        : " Held within its bands.";
  if (ended) {
    const said = endWords(ended, format);
    return { ...said, rest: `${said.rest}${what}` };
  }
  if (!touch) return { lead: "Ended in the air.", rest: what.trim(), good: false };
  const hard = touch.sink_mps > 3;
  return {
    lead: hard ? "Down, hard." : "Down.",
    rest: `Touched after ${formatClock(touch.time_s)} at ${format("speed", touch.ias_mps)}, sinking ${format("verticalSpeed", Math.max(touch.sink_mps, 0), "up")}.${what}`,
    good: !hard && bands.every(({ out_s }) => out_s < 5),
  };
}
