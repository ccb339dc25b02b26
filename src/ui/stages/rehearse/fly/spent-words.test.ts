import { describe, expect, it } from "vitest";
import type { HeightSpent } from "@/core/exercise/height-account";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { mostSaved, plannedPart, savedWords } from "./spent-words";

const part = { time_s: 0, distance_m: 0, turned_rad: 0, lost_m: 0, least_m: 0 };
const NOTHING = { speed: 0, bank: 0, flap: 0, gear: 0, slip: 0, engine: 0, air: 0 };
const spent = (beyond: Partial<HeightSpent["beyond_m"]>, reaction = part): HeightSpent => ({
  kind: "glide",
  from_s: 0,
  to_s: 60,
  lost_m: 200,
  intoSpeed_m: 0,
  reaction,
  turns: part,
  straight: part,
  beyond_m: { ...NOTHING, ...beyond },
});

const format = formatIn(DEFAULT_UNITS);
const plain = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, " ");

describe("where height went, in words", () => {
  it("names the single thing in hand that would have saved most; gusts are in nobody's hand", () => {
    const said = (...of: Parameters<typeof spent>) => plain(savedWords(spent(...of), 4, format));
    expect(said({ speed: 30, bank: 50, air: 90 })).toBe(
      "Bank as planned, hold no load beyond it: that would have saved most, 160 ft.",
    );
    expect(said({ speed: 5, air: 90 })).toBe("Nothing in hand would have saved much height.");
    expect(said({ speed: -40, engine: 12 })).toMatch(/^Take the propeller’s drag off: /);
  });

  it("on one engine it says what helps there", () => {
    const one = { ...spent({ engine: 30 }), kind: "one-engine" as const };
    expect(plain(savedWords(one, 4, format))).toBe(
      "Full power, and feather sooner: that would have saved most, 90 ft.",
    );
    expect(savedWords({ ...one, beyond_m: { ...one.beyond_m, flap: 50 } }, 4, format)).toMatch(/^Keep the flap in/);
  });

  it("a reaction counts beyond what is planned for: half of 8 s with 4 s planned", () => {
    const late = { ...part, time_s: 8, lost_m: 60 };
    expect(mostSaved(spent({ speed: 20 }, late), 4)).toEqual({ what: "reaction", saved_m: 30 });
    expect(mostSaved(spent({ speed: 20 }, late), 8)).toEqual({ what: "speed", saved_m: 20 });
    expect(plain(savedWords(spent({}, late), 4, format))).toMatch(/90 ft \(8 s went by\)\.$/);
  });

  it("the plan's parts are its ledger's: both turns together, the final with the straight, the reserve with neither", () => {
    const ledger = [
      { account: "reaction", height_m: 15 },
      { account: "turn", height_m: 40 },
      { account: "straight", height_m: 100 },
      { account: "turn", height_m: 10 },
      { account: "approach", height_m: 20 },
      { account: "reserve", height_m: 60 },
    ].map((entry) => ({ ...entry, name: "", time_s: 1 })) as Parameters<typeof plannedPart>[0];
    expect((["reaction", "turns", "straight"] as const).map((of) => plannedPart(ledger, of))).toEqual([15, 50, 120]);
  });
});
