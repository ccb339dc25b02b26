import { expect, it } from "vitest";
import { FACES } from ".";
import { SLUGS } from "./slugs";

it("the server lets in the addresses of the stages and no others", () => {
  expect(FACES.map(({ slug }) => slug)).toEqual(SLUGS);
});
