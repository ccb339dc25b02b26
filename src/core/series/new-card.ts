// A card as it begins: what is usual for its kind with an aircraft, to be changed.
import type { Aeroplane } from "../aircraft/aeroplane";
import type { Configuration } from "../aircraft/configuration";
import { radians } from "../quantities/angle";
import { M_PER_FT } from "../quantities/constants";
import { cardDay, predictedRun } from "./predicted-run";
import { type SeriesKind, TEST_CARD_VERSION, type TestCard } from "./test-card";

const FT_500 = 500 * M_PER_FT;

/** What a card is made for. */
export interface CardSetting {
  readonly aircraft: Aeroplane;
  readonly mass_kg: number;
  readonly deviation_K: number;
  readonly configuration: Configuration;
  /** Height that is practised above, m: runs are broken off there. */
  readonly deck_m: number;
}

/** Bank that is planned, and glide speeds over best glide. Common practice. */
const BANKS = [20, 30, 30, 45, 45, 45].map(radians);
const GLIDES = [0.85, 1, 1, 1.15, 1.3];

/** Of the longest run's height so much more is kept in hand. Common practice. */
const SPARE = 1.3;

/** From where a card's longest run ends over its deck with something in hand, in steps of 500 ft. */
function startOf(card: TestCard): number {
  const day = cardDay(card);
  const amounts = day.ok
    ? card.points.flatMap((value) => {
        const run = predictedRun(day.value, value, card.abort_m);
        return run.ok ? [run.value.amount] : [];
      })
    : [];
  // A glide is held for a minute.
  const longest_m = Math.max(0, ...amounts) * (card.kind === "glide" ? 60 : 1);
  return card.abort_m + Math.max(Math.ceil((longest_m * SPARE) / FT_500), 2) * FT_500;
}

/** A new card; its runs are broken off at the deck and begin high enough for the longest of them. */
export function newCard(kind: SeriesKind, id: string, { deck_m, aircraft, ...day }: CardSetting): TestCard {
  const best_mps = aircraft.handbook.vbg_mps ?? 35;
  const turning = kind === "half-turn";
  const card: TestCard = {
    schema: "utrimax/test-card",
    version: TEST_CARD_VERSION,
    id,
    name: turning ? "Half turns, engine idle" : "Glides, engine idle",
    kind,
    aircraft,
    ...day,
    start_m: deck_m + 2 * FT_500,
    abort_m: deck_m,
    speed_mps: best_mps,
    overStall: 1.2,
    points: turning ? BANKS : GLIDES.map((share) => share * best_mps),
    briefed: turning ? radians(45) : best_mps,
    task: turning
      ? "Idle, settle at the speed, half turn, out level; left and right in turn."
      : "Idle, settle at the speed, hold it straight for a minute; on opposite headings in turn.",
    rules: [
      "Stop at the height below, at the stall warning, or beyond 60° of bank.",
      "Look out all round before each run.",
      "An instructor is on board until it is signed off.",
      ...(aircraft.engines.kind === "jet"
        ? ["At idle the engines still pull: the prediction is with all of them dead."]
        : []),
    ],
    marks: turning ? ["entry", "90°", "180°"] : ["settled", "end"],
    runs: [],
  };
  return { ...card, start_m: startOf(card) };
}
