import { describe, expect, it } from "vitest";
import { faultOfPassword } from "./passwords";

const EMAIL = "jo.finch@example.org";

describe("a password", () => {
  it.each([
    ["password123", "commonest"],
    ["password123456", "commonest"],
    ["Qwertyuiop", "commonest"],
    ["football2026", "commonest"],
    ["aaaaaaaaaaaaab", "five different"],
    ["jo.finch@example.org", "e-mail"],
    ["my jo.finch@example.org", "e-mail"],
    ["jofinch2026", "e-mail"],
  ])("%s is refused", async (password, says) => {
    expect((await faultOfPassword(password, EMAIL))?.message).toContain(says);
  });

  it.each(["a long enough one", "kelp under the north pier", "Tr7!vex-oolm"])("%s is good enough", async (password) => {
    expect(await faultOfPassword(password, EMAIL)).toBeNull();
  });
});
