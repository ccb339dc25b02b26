import { describe, expect, it } from "vitest";
import type { ClimbOutTrack } from "@/core/route/climb-out-tracks";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { climbOutInWords, trackInWords, withoutInWords } from "./climb-out-words";

const format = formatIn(DEFAULT_UNITS);
const track = (kind: ClimbOutTrack["kind"], without_s: number, height_m: number | null): ClimbOutTrack => ({
  kind,
  without_s,
  first_m: 100,
  turn:
    height_m === null
      ? null
      : { x_m: 0, y_m: 0, height_m, distance_m: 1000, side: "left", by_rad: kind === "fewest" ? Math.PI / 2 : null },
  points: [],
  turns: [],
});
const straight = track("straight", 80, null);
const said = (...tracks: ClimbOutTrack[]) => {
  const words = climbOutInWords(tracks, "Skerrow 29", format);
  return words && `${words.headline} ${words.text}`.replace(/[\u00a0\u202f]/g, " ");
};

describe("climb-outs in words", () => {
  it.each([
    [
      [track("fewest", 50, 200), straight],
      "Turn for the fewest seconds, left by 90° at 660 ft: 50 s without a place. From Skerrow 29: 30 s less than straight on.",
    ],
    [[straight], "Straight on: 80 s without a place. From Skerrow 29: no turn inside the limits has fewer."],
    [
      [track("shore", 0, 300), straight],
      "Turn over the shore, left at 990 ft: a place in reach all the way. From Skerrow 29; straight on 80 s without one.",
    ],
    [[track("height", 40, 160)], "Turn at a height, left at 530 ft: 40 s without a place. From Skerrow 29."],
    [[{ ...straight, without_s: 0 }], "Straight on: a place in reach all the way. From Skerrow 29."],
  ])("%#", (tracks, words) => {
    expect(said(...tracks)).toBe(words);
  });

  it("never is never", () => {
    expect(withoutInWords({ without_s: 0 })).toBe("never");
    expect(trackInWords(straight, format)).toBe("Straight on");
    expect(climbOutInWords([], "Skerrow 29", format)).toBeNull();
  });
});
