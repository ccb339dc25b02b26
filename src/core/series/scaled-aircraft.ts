// The aircraft as a series has shown it: all drag of its glide by one factor, for sink grows with drag at every speed.
import type { Aeroplane } from "../aircraft/aeroplane";
import { deadEnginesCd } from "../aircraft/polar";
import { asFlown } from "../debrief/refitted-aircraft";
import { type Outcome, failure } from "../outcome";
import { cardDay } from "./predicted-run";
import type { TestCard } from "./test-card";

/**
 * A copy of a card's aircraft whose glide, as the card has it configured, sinks by a factor faster at every speed. What
 * propeller and what else is out add stays: the clean CD0 and k carry the difference. The book's figures and the stall
 * stay.
 *
 * @param factor - of sink, 0.5 to 2
 * @param from - where it comes from, in words: it heads the description
 * @returns `no_polar`, `factor_outside`; failures of the fit
 */
export function scaledAircraft(card: TestCard, factor: number, from: string): Outcome<Aeroplane> {
  const { aircraft } = card;
  const day = cardDay(card);
  if (!day.ok) return day;
  if (!(factor >= 0.5 && factor <= 2))
    return failure(
      "factor_outside",
      "A book that is off by half is not mended by a factor: look at the runs.",
      "factor",
    );
  const { cd0, k } = day.value.polar;
  const { polar, handbook } = aircraft;
  // A fit is of the book's glide: its propeller is in it, whatever the card's does.
  const ofBook =
    (polar?.cd0 ?? 0) + (deadEnginesCd(aircraft, polar?.deadPropeller ?? null, handbook.glidePropeller) ?? 0);
  return asFlown(aircraft, { cd0: ofBook + (factor - 1) * cd0, k: k * factor }, from);
}
