import { isAerodrome } from "@/core/places/place";
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation } from "../../../../demo/read-demo";
import { landingEnds } from "@/core/landing/landing-end";
import { reachOf } from "@/core/landing/reach";
import { reachQuestion } from "@/core/landing/reach-question";
import { DEFAULT_UNITS, formatSi } from "@/core/quantities/units";
import { formatMargin } from "@/ui/kit/units/margin";
import { firstMove, wayInWords, wordsInWords } from "./way";

const aerodromes = demoPlaces().filter(isAerodrome);

function skerrow11(change: object = {}) {
  const question = {
    ...reachQuestion(demoSituation(), demoAircraft("alder-s1"), landingEnds(aerodromes)),
    ...change,
  };
  const found = reachOf(question, null);
  const end = found.ok ? found.value.ends.find((candidate) => candidate.name === "Skerrow 11") : undefined;
  if (!end) throw new Error("expected Skerrow 11");
  return end;
}

describe("a way in words", () => {
  it("says which way to turn first", () => {
    expect(firstMove(skerrow11())).toBe("right turn now");
    expect(wayInWords(skerrow11())).toBe("right, straight, left");
    // Turned along the straight of its path, and along that of the path from there, nothing is left to turn.
    let heading_rad = 0.7;
    for (let i = 0; i < 4; i += 1)
      heading_rad = skerrow11({ headingTrue_rad: heading_rad }).path?.legs[0].straightHeading_rad ?? 0;
    expect(firstMove(skerrow11({ headingTrue_rad: heading_rad }))).toBe("straight on");
  });

  it("names the key between the two legs", () => {
    const plan = { ...demoSituation().plan, key: "overhead-left" };
    expect(wayInWords(skerrow11({ plan }))).toContain("; key; left");
  });

  it("spells the words and signs the margins", () => {
    expect(wordsInWords(["LSR"])).toBe("left, straight, right");
    expect(wordsInWords(["LSR", "RSR"])).toBe("left, straight, right; key; right, straight, right");
    const format = (kind: "height", si: number) => formatSi(kind, DEFAULT_UNITS[kind], si);
    expect(formatMargin(70.1, format as never)).toBe("+230\u00a0ft");
    expect(formatMargin(-27.4, format as never)).toBe("−90\u00a0ft");
  });
});
