import { describe, expect, it } from "vitest";
import { demoKeptFlight as flight } from "../../../../../demo/demo-kept-flight";
import { KEPT_FLIGHT_VERSION, KeptFlight } from "@/core/simulation/kept-flight";
import { kept } from "./flights-store";

const at = (minute: number) => new Date(Date.UTC(2026, 10, 28, 9, minute)).toISOString();

describe("flights that are kept", () => {
  it("are documents, refused where something is missing or of another version", () => {
    expect(KeptFlight.safeParse(flight(at(0))).success).toBe(true);
    expect(KeptFlight.safeParse({ ...flight(at(0)), version: KEPT_FLIGHT_VERSION + 1 }).success).toBe(false);
    const { recording: _, ...without } = flight(at(0));
    expect(KeptFlight.safeParse(without).success).toBe(false);
    const other = { ...flight(at(0)).recording, version: 2 };
    expect(KeptFlight.safeParse({ ...flight(at(0)), recording: other }).success).toBe(false);
  });

  it("are the newest eight, and of those as many as there is room for", () => {
    const many = Array.from({ length: 12 }, (_, i) => flight(at(i)));
    expect(kept(many).map((one) => one.at)).toEqual(many.slice(0, 8).map((one) => one.at));
    // A flight whose hands never rested takes most of a megabyte.
    const large = Array.from({ length: 5 }, (_, i) => flight(at(i), 60_000));
    const some = kept(large);
    expect(some.length).toBeGreaterThan(0);
    expect(some.length).toBeLessThan(5);
  });
});
