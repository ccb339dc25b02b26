import { describe, expect, it } from "vitest";
import { demoAircraft, demoGyroplane, demoHelicopter } from "../../../demo/read-demo";
import { MPS_PER_KT } from "../quantities/constants";
import { singleInCruise } from "../procedure/library/single";
import type { Grade } from "./memory";
import { recallCards } from "./recall-cards";
import { type CardReview, NEW_A_DAY, recallDay } from "./recall-day";

const alder = { id: "alder-s1", document: demoAircraft("alder-s1") };
const larch = { id: "larch-t2", document: demoAircraft("larch-t2") };
const HOUR_MS = 3600 * 1000;
const NOW = Date.UTC(2026, 10, 28, 9);
const TONIGHT = Date.UTC(2026, 10, 29);
const alders = recallCards(alder.id, alder.document);

describe("the cards of an aircraft", () => {
  it.each([
    ["single", "alder-s1", demoAircraft("alder-s1"), 30],
    ["turboprop", "fir-p1", demoAircraft("fir-p1"), 8],
    ["twin", "larch-t2", demoAircraft("larch-t2"), 20],
    ["jet", "cedar-j2", demoAircraft("cedar-j2"), 10],
    ["helicopter", "hazel-h2", demoHelicopter(), 5],
    ["gyroplane", "osier-g1", demoGyroplane(), 5],
  ] as const)(
    "a %s has some of every kind that fits, each with one name and one right answer",
    (_, id, aircraft, least) => {
      const cards = recallCards(id, aircraft);
      expect(cards.length).toBeGreaterThanOrEqual(least);
      expect(new Set(cards.map((card) => card.id)).size).toBe(cards.length);
      for (const card of cards) {
        expect(card.id.length).toBeLessThanOrEqual(120);
        expect(card.why).not.toBe("");
        if (card.kind === "number") {
          expect(card.speed_mps).toBeGreaterThan(card.low_mps);
          expect(card.speed_mps).toBeLessThan(card.high_mps);
        } else if (card.kind === "order") {
          expect(card.order.toSorted((a, b) => a - b)).toEqual(card.strips.map((_strip, i) => i));
          expect(new Set(card.strips).size).toBe(card.strips.length);
        } else {
          expect(new Set(card.answers).size).toBe(card.answers.length);
          expect(card.answers[card.right]).toBeDefined();
        }
      }
      expect(recallCards(id, aircraft)).toEqual(cards);
    },
  );

  it("the order is the drill’s, the strips lie otherwise; what is next is what the drill says next", () => {
    const order = alders.find(({ id }) => id === "alder-s1/single-in-cruise/order");
    if (order?.kind !== "order") throw new Error("no order");
    expect(order.order.map((i) => order.strips[i].split(":")[0])).toEqual(
      singleInCruise.steps.slice(0, 6).map((step) => step.challenge.split(":")[0]),
    );
    expect(order.order).not.toEqual(order.order.toSorted((a, b) => a - b));
    const next = alders.find(({ id }) => id === "alder-s1/single-in-cruise/next/tank");
    if (next?.kind !== "next") throw new Error("no next");
    expect(next.answers[next.right]).toBe("Fuel selector: right");
    expect(next.why).toContain("tank that is empty");
  });

  it("of a drill of one’s own takes the place of the one that it was made from, where it fits", () => {
    const mine = { ...singleInCruise, id: "own-x", madeFrom: singleInCruise.id };
    const procedures = (own: Parameters<typeof recallCards>[2]) =>
      new Set(recallCards(alder.id, alder.document, own).map(({ id }) => id.split("/")[1]));
    expect([procedures([mine]).has("own-x"), procedures([mine]).has(singleInCruise.id)]).toEqual([true, false]);
    const twins = { ...mine, fits: ["twin" as const] };
    expect([procedures([twins]).has("own-x"), procedures([twins]).has(singleInCruise.id)]).toEqual([false, true]);
  });

  it("speeds are the book’s", () => {
    const speed = (cards: readonly { id: string }[], name: string) => {
      const card = cards.find(({ id }) => id.endsWith(`/number/${name}`));
      return (card as { speed_mps?: number } | undefined)?.speed_mps;
    };
    expect((speed(alders, "best-glide") ?? 0) / MPS_PER_KT).toBeCloseTo(67, 0);
    const larches = recallCards(larch.id, larch.document);
    expect(speed(larches, "best-rate-on-one-engine-v-yse")).toBe(43.2133);
    expect(speed(alders, "v-mca-of-the-book")).toBeUndefined();
  });
});

describe("a day’s cards", () => {
  const review = (card: string, days: number, grade: Grade): CardReview => ({
    card,
    at_ms: NOW - days * 24 * HOUR_MS,
    grade,
  });
  const [first, second, third] = alders.map(({ id }) => id);

  it("new ones are few, and of the aircraft that is flown", () => {
    const day = recallDay([alder, larch], [], NOW, TONIGHT);
    expect(day.due).toHaveLength(NEW_A_DAY);
    expect(day.due.every(({ card, memory }) => card.aircraftId === "alder-s1" && memory === null)).toBe(true);
    expect(day.cards).toBe(alders.length + recallCards(larch.id, larch.document).length);
    // Two were begun today: three more.
    const begun = [review(first, 0.1, "sure"), review(second, 0.1, "sure")];
    expect(recallDay([alder], begun, NOW, TONIGHT).due).toHaveLength(NEW_A_DAY - 2);
  });

  it("what has been forgotten most comes first, what is due before midnight belongs to today, the rest is for later", () => {
    const day = recallDay(
      [alder],
      [review(first, 7.5, "sure"), review(second, 60, "sure"), review(third, 1, "at-once")],
      NOW,
      TONIGHT,
    );
    expect(day.due.slice(0, 2).map(({ card }) => card.id)).toEqual([second, first]);
    expect(day.later.map(({ card }) => card.id)).toEqual([third]);
    expect(day.later[0].chance).toBeGreaterThan(0.9);
    expect(day.due[0].chance).toBeLessThan(0.8);
  });

  it("another aircraft of one's own brings new ones when all of the one that is flown were asked", () => {
    const asked = alders.map(({ id }) => ({ card: id, at_ms: NOW - 60 * HOUR_MS, grade: "at-once" as const }));
    const due = (reviews: readonly CardReview[]) =>
      recallDay([alder, larch], reviews, NOW, TONIGHT)
        .due.filter(({ memory }) => memory === null)
        .map(({ card }) => card.aircraftId);
    expect(due(asked.slice(1))).toEqual(["alder-s1", "larch-t2", "larch-t2", "larch-t2", "larch-t2"]);
    expect(due(asked)).toEqual(Array.from({ length: NEW_A_DAY }, () => "larch-t2"));
  });

  it("a card of an aircraft that is flown no more is asked of its own fleet only", () => {
    const others = [review("gone/number/best-glide", 30, "sure"), review(first, 30, "sure")];
    expect(recallDay([alder], others, NOW, TONIGHT).due.map(({ card }) => card.id)).not.toContain(
      "gone/number/best-glide",
    );
    expect(recallDay([], others, NOW, TONIGHT)).toEqual({ now_ms: NOW, due: [], later: [], cards: 0 });
  });
});
