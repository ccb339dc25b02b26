import { describe, expect, it } from "vitest";
import { FLIGHT_TESTS } from "@/core/exercise/library";
import { FlightTestProfile } from "@/core/exercise/exercise";
import { readOwnFile } from "./read-own-file";

const file = (text: string) => new File([text], "test.json");

describe("a file of one's own", () => {
  it("is read where it is sound", async () => {
    expect(await readOwnFile(file(JSON.stringify(FLIGHT_TESTS[0])), FlightTestProfile)).toEqual(FLIGHT_TESTS[0]);
  });

  it("is refused with the reason where it is not JSON, not sound, or far too large", async () => {
    expect(await readOwnFile(file("{"), FlightTestProfile)).toContain("not JSON");
    expect(await readOwnFile(file(JSON.stringify({ ...FLIGHT_TESTS[0], exercises: [] })), FlightTestProfile)).toContain(
      "exercises: A flight test has at least one exercise.",
    );
    expect(await readOwnFile(file(" ".repeat(200_001)), FlightTestProfile)).toContain("larger than any");
  });
});
