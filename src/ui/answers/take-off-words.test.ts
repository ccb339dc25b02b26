import type { TakeOffQuestion } from "@/core/take-off/take-off-day";
import { describe, expect, it } from "vitest";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { takeOffAnswer } from "@/core/take-off/take-off-answer";
import { formatIn } from "@/ui/kit/units/units-store";
import { demoTakeOffQuestion } from "../../../demo/demo-take-off";
import { returnInWords, takeOffDecision, takeOffHeadline } from "./take-off-words";

const format = formatIn(DEFAULT_UNITS);
const takeOff = (question: TakeOffQuestion) => takeOffAnswer(question, null);
function said(change: Parameters<typeof demoTakeOffQuestion>[0]) {
  const found = takeOff(demoTakeOffQuestion(change));
  if (!found.ok) throw new Error(found.issue.message);
  const { lead, rest } = takeOffDecision(found.value, format);
  return {
    lead,
    rest: rest.replace(/\s/g, " "),
    spine: takeOffHeadline(found.value, format).text.replace(/\s/g, " "),
    answer: found.value,
  };
}

describe("the decision of a take-off with two engines", () => {
  it("light and cold is not “will not climb”: the steep climb is named, with both speeds", () => {
    const { lead, rest, spine } = said({ mass_kg: 1130, air: { qnh_Pa: 101_325, deviation_K: -25 } });
    expect(lead.replace(/\s/g, " ")).toBe("Go from 400 ft.");
    expect(rest).toMatch(/takes it to 6\d kt, under V_MCA at 5° bank, 7\d kt: nose down at once/);
    expect(spine).toBe("nose down: under V_MCA");
  });

  it("at maximum mass the advised height comes first, the sum after it", () => {
    const { lead, rest, spine } = said({ mass_kg: 1725 });
    expect([lead.replace(/\s/g, " "), spine]).toEqual(["Go from 400 ft.", "go from 400 ft"]);
    expect(rest.indexOf("Advised")).toBeLessThan(rest.indexOf("Flown without error"));
    expect(rest).toContain("From a failure on the runway it does not.");
  });

  // 41 t on 1 300 m, of which a jet of this weight needs about 1 800: what comes first is the runway, not the climb.
  it("a jet that neither stops nor goes on the runway is told so first", () => {
    const { lead, rest, spine, answer } = said({
      name: "cedar-j2",
      mass_kg: 41_000,
      runway: { ...demoTakeOffQuestion({}).runway, length_m: 1300 },
    });
    expect([lead, spine]).toEqual(["The runway is too short.", "runway too short"]);
    expect(answer.accelerate.stopSpare_m).toBeLessThan(-100);
    expect(rest).toMatch(/^After a failure at \d+ kt it stops \d+ m beyond the end, it passes 35 ft \d+ m beyond/);
    expect(rest).not.toContain("it goes too");
  });

  it("a light twin that stops beyond the end says by how much before anything else", () => {
    const runway = { ...demoTakeOffQuestion({}).runway, length_m: 420 };
    const { lead, rest } = said({ mass_kg: 1600, runway });
    expect(lead).toMatch(/^Go from/);
    expect(rest).toMatch(/^After a failure at \d+ kt it stops \d+ m beyond the end\. Advised/);
  });

  it("without a climb, or not over what is ahead, that is the first thing said", () => {
    expect(said({ mass_kg: 1725, air: { qnh_Pa: 85_000, deviation_K: 40 } }).lead).toBe("It will not climb.");
    const wall = said({ mass_kg: 1600, plan: { obstacles: [{ name: "ridge", distance_m: 4000, height_m: 400 }] } });
    expect([wall.lead, wall.spine]).toEqual(["It does not clear what is ahead.", "not over what is ahead"]);
  });

  it("turns by the school chosen, each side with its control", () => {
    const { back } = said({ mass_kg: 1600 }).answer;
    expect(returnInWords(back, "either", format)).toMatch(
      /^To either side, 15°: towards the dead engine \d+ % of the rudder, held down to \d+\skt; towards the live \d+ %/,
    );
    expect(returnInWords(back, "live", format)).toMatch(/^Only towards the live engine: \d+ %/);
  });
});
