import { describe, expect, it } from "vitest";
import { latestOnly } from "./latest";

describe("latestOnly", () => {
  it("runs the first and the newest, one at a time, and nothing between", async () => {
    const ran: string[] = [];
    let release = () => {};
    const run = latestOnly();
    run(
      () =>
        new Promise((done) => {
          ran.push("first");
          release = done;
        }),
    );
    run(async () => void ran.push("dropped"));
    const newest = new Promise<void>((done) =>
      run(async () => {
        ran.push("newest");
        done();
      }),
    );
    expect(ran).toEqual(["first"]);
    release();
    await newest;
    expect(ran).toEqual(["first", "newest"]);
    await new Promise<void>((done) =>
      run(async () => {
        ran.push("later");
        done();
      }),
    );
    expect(ran).toEqual(["first", "newest", "later"]);
  });
});
