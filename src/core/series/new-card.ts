// A card as it begins: what is usual for its kind with an aircraft, to be changed.
import type { Aeroplane } from "../aircraft/aeroplane";
import type { Configuration } from "../aircraft/configuration";
import { radians } from "../quantities/angle";
import { M_PER_FT } from "../quantities/constants";
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

/** A new card; its runs are broken off at the deck and begin high enough for the longest of them. */
export function newCard(kind: SeriesKind, id: string, { deck_m, aircraft, ...day }: CardSetting): TestCard {
  const best_mps = aircraft.handbook.vbg_mps ?? 35;
  const turning = kind === "half-turn";
  return {
    schema: "utrimax/test-card",
    version: TEST_CARD_VERSION,
    id,
    name: turning ? "Half turns, engine idle" : "Glides, engine idle",
    kind,
    aircraft,
    ...day,
    start_m: deck_m + (turning ? 2 : 4) * FT_500,
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
    ],
    marks: turning ? ["entry", "90°", "180°"] : ["settled", "end"],
    runs: [],
  };
}
