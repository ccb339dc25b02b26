// What a gamepad's axes and buttons do: which axis is what, where it ends and rests, and which button does what.
import { z } from "zod";

const index = (most: number) => z.int().min(0).max(most);
const place = z.number().min(-2).max(2);

const Axis = z.strictObject({
  axis: index(31),
  reversed: z.boolean(),
  /** Its ends and where it rests, as it reports them. */
  low: place,
  rest: place,
  high: place,
});
/** An axis as it is used. */
export type PadAxis = z.infer<typeof Axis>;

/** What an axis can move. */
export const PAD_AXES = ["bank", "nose", "feet", "power"] as const;
/** @see PAD_AXES */
export type PadUse = (typeof PAD_AXES)[number];
/** What a button can do. */
export const PAD_ACTIONS = ["pause", "back", "look", "brakes", "gear", "flap out", "flap in"] as const;
/** @see PAD_ACTIONS */
export type PadAction = (typeof PAD_ACTIONS)[number];

/** @see PadSettings */
export const PadSettings = z.strictObject({
  axes: z.strictObject({ bank: Axis.nullable(), nose: Axis.nullable(), feet: Axis.nullable(), power: Axis.nullable() }),
  buttons: z.strictObject({
    pause: index(63).nullable(),
    back: index(63).nullable(),
    look: index(63).nullable(),
    brakes: index(63).nullable(),
    gear: index(63).nullable(),
    "flap out": index(63).nullable(),
    "flap in": index(63).nullable(),
  }),
});
/** Of one kind of gamepad. */
export type PadSettings = z.infer<typeof PadSettings>;

const axis = (at: number): PadAxis => ({ axis: at, reversed: false, low: -1, rest: 0, high: 1 });

/** Before anything is chosen: two sticks, and nothing on the buttons. */
export const USUAL_PAD: PadSettings = {
  axes: { bank: axis(0), nose: axis(1), feet: axis(2), power: null },
  buttons: { pause: null, back: null, look: null, brakes: null, gear: null, "flap out": null, "flap in": null },
};

/** A gamepad near its middle is in the middle; what is beyond is soft at first. Common practice. */
const [DEAD, EXPO] = [0.08, 0.35];
/** Ends nearer to the rest than this are no travel: the axis was not moved. */
const LEAST_TRAVEL = 0.1;

/** A share of travel as the hand means it. */
export function shaped(share: number): number {
  const away = Math.abs(share);
  if (!(away > DEAD)) return 0;
  const beyond = Math.min((away - DEAD) / (1 - DEAD), 1);
  return Math.sign(share) * ((1 - EXPO) * beyond + EXPO * beyond ** 3);
}

/** Where an axis stands of its own travel, −1…1; in its middle where it reports nothing. */
function shareOf({ axis: at, reversed, low, rest, high }: PadAxis, axes: readonly number[]): number {
  const value = axes.at(at) ?? rest;
  const travel = value < rest ? rest - low : high - rest;
  const share = Number.isFinite(value) && travel > LEAST_TRAVEL ? (value - rest) / travel : 0;
  return Math.max(-1, Math.min(1, reversed ? -share : share));
}

/** What the hand does. */
export interface PadHand {
  readonly back: number;
  readonly right: number;
  /** Null where no axis has the feet, or they are still. */
  readonly foot: number | null;
  /** 0…1; null where no axis has the power. */
  readonly power: number | null;
}

/** The hand by the axes of a gamepad. */
export function padHand({ axes: uses }: PadSettings, axes: readonly number[]): PadHand {
  const of = (use: PadAxis | null) => (use ? shaped(shareOf(use, axes)) : 0);
  const foot = of(uses.feet);
  return {
    back: of(uses.nose),
    right: of(uses.bank),
    foot: foot === 0 ? null : foot,
    // A lever has no middle.
    power: uses.power && powerOf(uses.power, axes),
  };
}

function powerOf({ axis: at, reversed, low, high }: PadAxis, axes: readonly number[]): number | null {
  const value = axes.at(at);
  if (value === undefined || !Number.isFinite(value) || high - low < LEAST_TRAVEL) return null;
  const share = Math.max(0, Math.min(1, (value - low) / (high - low)));
  return reversed ? 1 - share : share;
}

/** Ends of the axes while they are moved about: the least and the greatest so far, and where they rest. */
export interface Travel {
  readonly low: readonly number[];
  readonly high: readonly number[];
  readonly rest: readonly number[];
}

/** @param before - null at the beginning: then the axes rest */
export function travelled(before: Travel | null, axes: readonly number[]): Travel {
  if (!before) return { low: axes, high: axes, rest: axes };
  return {
    low: axes.map((value, i) => Math.min(value, before.low.at(i) ?? value)),
    high: axes.map((value, i) => Math.max(value, before.high.at(i) ?? value)),
    rest: before.rest,
  };
}

/** Settings with the travel that was found; an axis that was not moved keeps what it had. */
export function calibrated(settings: PadSettings, { low, high, rest }: Travel): PadSettings {
  const of = (use: PadAxis | null): PadAxis | null => {
    if (!use) return null;
    const [from, to, middle] = [low.at(use.axis), high.at(use.axis), rest.at(use.axis)];
    if (from === undefined || to === undefined || middle === undefined || to - from < LEAST_TRAVEL) return use;
    return { ...use, low: from, high: to, rest: middle };
  };
  const { bank, nose, feet, power } = settings.axes;
  return { ...settings, axes: { bank: of(bank), nose: of(nose), feet: of(feet), power: of(power) } };
}

/** The first button that is down and was not; null for none. */
export const pressedNow = (before: readonly boolean[], now: readonly boolean[]): number | null => {
  const at = now.findIndex((down, i) => down && !before.at(i));
  return at < 0 ? null : at;
};
