// A flight in words: what to do now, and how it went.
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import type { FlightView } from "@/core/simulation/flight-view";
import { TRACE_CHANNELS, TRACE_HZ, type TraceChannel } from "@/core/simulation/flight-trace";
import type { Format } from "@/ui/kit/units/units-store";

interface Said {
  readonly lead: string;
  readonly rest: string;
  readonly good: boolean;
}

const DEG = 180 / Math.PI;
/** Slower than this over the stall there is no margin left. */
const MARGIN = 1.1;

/** The one thing to do now. */
export function nowWords(view: FlightView, held_mps: number, running: boolean, format: Format): Said {
  if (view.ended) return endWords(view.ended, format);
  if (!running)
    return view.time_s < 0.1
      ? { lead: "Ready.", rest: "Esc or Go on begins and pauses. Arrows fly.", good: true }
      : { lead: "Paused.", rest: "Esc or Go on when you are ready.", good: true };
  if (view.onGround)
    return view.groundSpeed_mps < 0.5
      ? { lead: "It stands.", rest: "End here, or open the throttle.", good: true }
      : { lead: "Keep it straight.", rest: "", good: true };
  const over = view.ias_mps / view.stall_mps;
  if (view.stallWarning || over < MARGIN)
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
  if (Math.abs(view.ball) > 0.8 && dead === 0)
    return { lead: `${view.ball > 0 ? "Right" : "Left"} foot.`, rest: "The ball is out.", good: false };
  return {
    lead:
      dead === 0
        ? "It runs."
        : dead === view.engines.length
          ? "Hold the speed, fly to a place."
          : "Held on one engine.",
    rest: dead > 0 ? `${format("verticalSpeed", Math.abs(view.climb_mps))} ${view.climb_mps < 0 ? "down" : "up"}.` : "",
    good: true,
  };
}

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

const at = (row: readonly number[], channel: TraceChannel) => row[TRACE_CHANNELS.indexOf(channel)];

/** A tolerance as it was held. */
export interface HeldBand {
  readonly name: string;
  readonly within: string;
  readonly out_s: number;
  /** Whether it was out, row by row. */
  readonly out: readonly boolean[];
}

/** From where on it is judged: since the first engine stopped pulling; the whole where none did. */
export function failedFrom(rows: readonly (readonly number[])[]): number {
  const pulls = (row: readonly number[]) =>
    at(row, "thrust0_N") > 0 && (at(row, "rpm1") === 0 || at(row, "thrust1_N") > 0);
  const ran = rows.findIndex(pulls);
  const first = rows.findIndex((row, i) => i > ran && ran >= 0 && !pulls(row) && at(row, "touch") === 0);
  return first < 0 ? 0 : first;
}

/** Speed, bank, ball and margin over the stall, in the air, since it failed. */
export function bandsOf(
  rows: readonly (readonly number[])[],
  held_mps: number,
  bank_rad: number,
  format: Format,
): readonly HeldBand[] {
  const from = failedFrom(rows);
  const judged = rows.map((row, i) => i >= from && at(row, "touch") === 0 && at(row, "height_m") > 12);
  const band = (name: string, within: string, isOut: (row: readonly number[]) => boolean): HeldBand => {
    const out = rows.map((row, i) => judged[i] && isOut(row));
    return { name, within, out, out_s: out.filter(Boolean).length / TRACE_HZ };
  };
  return [
    band(
      "Speed",
      `${format("speed", held_mps - 2.57)} to ${format("speed", held_mps + 5.14)}`,
      (row) => at(row, "ias_mps") < held_mps - 2.57 || at(row, "ias_mps") > held_mps + 5.14,
    ),
    band(
      "Bank",
      `up to ${formatNumber((bank_rad + 0.087) * DEG)}°`,
      (row) => Math.abs(at(row, "bank_rad")) > bank_rad + 0.087,
    ),
    band("Ball", "± ½", (row) => Math.abs(at(row, "ball")) > 0.5),
    band("Over stall", "≥ 1.10", (row) => at(row, "overStall") < MARGIN),
  ];
}

/** The touch: where, how fast, how hard; null where it never was in the air and touched. */
export function touchOf(rows: readonly (readonly number[])[]) {
  const aloft = rows.findIndex((row) => at(row, "touch") === 0 && at(row, "height_m") > 3);
  const i = rows.findIndex((row, k) => aloft >= 0 && k > aloft && at(row, "touch") === 1);
  if (i < 0) return null;
  const before = rows[i - 1];
  return {
    row: i,
    time_s: at(rows[i], "time_s"),
    north_m: at(rows[i], "north_m"),
    east_m: at(rows[i], "east_m"),
    sink_mps: -at(before, "climb_mps"),
    ias_mps: at(before, "ias_mps"),
  };
}

/** How it went, with the single thing that would have saved most. */
export function flownWords(
  rows: readonly (readonly number[])[],
  bands: readonly HeldBand[],
  ended: FlightView["ended"],
  format: Format,
): Said {
  const touch = touchOf(rows);
  const worst = bands.toSorted((a, b) => b.out_s - a.out_s)[0];
  const what =
    worst && worst.out_s > 1
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
