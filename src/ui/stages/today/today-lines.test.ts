import { expect, it } from "vitest";
import { allLines } from "./today-lines";

it("nothing of a part is left out, in order", () => {
  expect(
    allLines([
      { title: "a", lines: ["1", "2"] },
      { title: "b", lines: [] },
      { title: "c", lines: ["3"] },
    ]),
  ).toEqual(["1", "2", "3"]);
});
