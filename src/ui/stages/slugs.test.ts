import { expect, it } from "vitest";
import { STAGES } from ".";
import { SLUGS } from "./slugs";

it("the server lets in the addresses of the stages and no others", () => {
  expect(STAGES.map(({ slug }) => slug)).toEqual(SLUGS);
});
