import { WORDS_MEANING } from "../glide/path-words";
import { plannedReaction_s } from "../situation/pilot-practice";
import type { WorkingStep } from "../working";
import type { RotorEnd, RotorReachQuestion } from "./rotor-reach";
import { ROOM_FACTOR, flareOver_m } from "./rotor-room";

const ROTOR = "energy balance of the autorotating rotor, half way down";
const PATH = "turn–straight–turn in the drifting air mass (Dubins 1957), exact mean wind of each height band";
const ROOM = "glide over the obstacle, flare, slide: a sketch";

/**
 * The working of one landing end of a rotorcraft. `figure` names what each line belongs to: `glide`, `turn`, `room`,
 * `wind`, `margin`.
 */
export function rotorWorking(question: RotorReachQuestion, { end, way, room, descent, last }: RotorEnd): WorkingStep[] {
  const line = (
    figure: string,
    [symbol, meaning, formula]: readonly [string, string, string],
    value: number | string,
    unit: string,
    source: string,
  ): WorkingStep => ({ figure, symbol, meaning, formula, value, unit, source });
  const glide = way.glide ?? descent.glide;
  const steps: WorkingStep[] = [
    line("glide", ["m", "mass", ""], question.mass_kg, "kg", "situation"),
    line(
      "glide",
      ["V", glide.limited ? "airspeed, at the manual’s V_NE" : "airspeed, true", "greatest (V − wind)/w"],
      glide.tas_mps,
      "m/s",
      ROTOR,
    ),
    line("glide", ["w", "sink", "κT·vi + P0 + T·vn = 0"], glide.sink_mps, "m/s", ROTOR),
    line("glide", ["E", "ratio through the air", "V/w"], glide.ratio, "", ROTOR),
    line("turn", ["n", "load in the turn", "1/cosφ"], descent.turn.loadFactor, "", "situation, pilot"),
    line("turn", ["w_t", "sink in the turn", "n·w at n weights"], descent.turn.sink_mps, "m/s", ROTOR),
    line("turn", ["R", "radius, still air", "V²/(g·tanφ)"], descent.turn.radius_m, "m", ROTOR),
    line("wind", ["w_t", "wind from behind at 10 m", ""], way.tailwind_mps, "m/s", "situation, wind"),
    line("wind", ["w_c", "wind from the right at 10 m", ""], way.crosswind_mps, "m/s", "situation, wind"),
    line("room", ["V_f", "airspeed on final", ""], last.final_mps, "m/s", ROTOR),
    line("room", ["h_f", "flare", "energy balance"], last.flare_m ?? "none suffices", last.flare_m ? "m" : "", ROOM),
    line("room", ["s_f", "ground of the flare", ""], flareOver_m(last, way.tailwind_mps), "m", ROOM),
    line("room", ["V_G", "over the ground at touchdown", ""], room.touchdownGround_mps, "m/s", ROOM),
    line(
      "room",
      ["h_o", end.obstacle ? `${end.obstacle.name} before the threshold` : "nothing before the threshold", ""],
      end.obstacle?.height_m ?? 0,
      "m",
      "places",
    ),
    Number.isFinite(room.computed_m)
      ? line(
          "room",
          ["s", "room by computation", "(h_o + 25 ft − h_f)·V_G/w + s_f − d + slide"],
          room.computed_m,
          "m",
          ROOM,
        )
      : line("room", ["s", "room by computation", ""], "does not stop on this slope", "", ROOM),
    line("room", ["k", "more that is asked for", ""], ROOM_FACTOR, "", "common practice"),
    line("room", ["l", `length of ${end.name}`, ""], end.length_m, "m", "places"),
  ];
  const { path } = way;
  if (!path) return [...steps, line("margin", ["–", way.issue?.message ?? "no path", ""], "no path", "", PATH)];
  return [
    ...steps,
    line(
      "margin",
      ["t", "reaction, at the steady sink", ""],
      plannedReaction_s(question.pilot),
      "s",
      "situation, pilot",
    ),
    line("margin", ["have", "height over the aim point now", "altitude − elevation"], path.have_m, "m", "situation"),
    ...path.ledger.map(({ name, height_m }) => line("margin", ["−", name, ""], height_m, "m", PATH)),
    line(
      "margin",
      ["left", path.margin_m >= 0 ? "over the reserve" : "short of the reserve", "have − Σ"],
      path.margin_m,
      "m",
      "sum",
    ),
    line(
      "margin",
      ["way", path.words.map((word) => WORDS_MEANING[word]).join("; then "), ""],
      path.words.join(" "),
      "",
      PATH,
    ),
  ];
}
