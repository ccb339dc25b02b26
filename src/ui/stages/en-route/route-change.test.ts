import { describe, expect, it } from "vitest";
import { localPlane } from "@/core/earth/local-plane";
import type { RoutePoint } from "@/core/situation/route-plan";
import { DEFAULT_ROUTE } from "@/core/situation/route-plan";
import { freeName, movedPoints, reversed, shifted, withClimbOut, withPoint } from "./route-change";

const plane = localPlane({ latitude_deg: -47, longitude_deg: -131 });
const at = (x_m: number, y_m: number) => plane.toLatLon({ x_m, y_m });
const point = (name: string, x_m: number, altitude_m: number | null = null): RoutePoint => ({
  name,
  position: at(x_m, 0),
  altitude_m,
});
const route = [point("A", 0), point("B", 5000, 1500), point("C", 9000)];
const line = (...xs: number[]) => xs.map((x_m) => ({ x_m, y_m: 0 }));
const names = (points: readonly RoutePoint[]) => points.map(({ name }) => name).join("");

describe("a route that is changed", () => {
  it("a dragged point keeps its name and altitude, the others are the same", () => {
    const moved = movedPoints(route, [line(0)[0], { x_m: 5000, y_m: 2000 }, line(9000)[0]], plane);
    expect(names(moved)).toBe("ABC");
    expect(moved[1].altitude_m).toBe(1500);
    expect(plane.toPlane(moved[1].position).y_m).toBeCloseTo(2000, 3);
    expect([moved[0], moved[2]]).toEqual([route[0], route[2]]);
  });

  it("a point is put in where the line was taken hold of, with a name of its own", () => {
    const put = movedPoints(route, [...line(0), { x_m: 2000, y_m: 800 }, ...line(5000, 9000)], plane);
    expect(names(put)).toBe("AP3BC");
    const last = movedPoints(route, [...line(0, 5000), { x_m: 7000, y_m: 100 }, ...line(9000)], plane);
    expect(names(last)).toBe("ABP3C");
    expect(freeName([...route, { ...route[0], name: "P4" }])).toBe("P5");
  });

  it("the other way round, an altitude stays with its leg", () => {
    const back = reversed([...route, point("D", 12_000)]);
    expect(names(back)).toBe("DCBA");
    // From B to C 1 500 m were planned: from C to B they are.
    expect(back.map(({ altitude_m }) => altitude_m)).toEqual([null, 1500, null, null]);
  });

  it("points are added and change places", () => {
    expect(names(shifted(route, 0, 1))).toBe("BAC");
    expect(names(shifted(route, 2, -1))).toBe("ACB");
    const [added] = withPoint([], "x".repeat(60), at(0, 0));
    expect(added.name).toHaveLength(40);
  });

  it("a climb-out that is planned takes the place of the one before", () => {
    const plan = { ...DEFAULT_ROUTE, points: route };
    const one = withClimbOut(plan, [...line(1000), { x_m: 2000, y_m: 900 }], plane);
    expect(one.points.map(({ name }) => name)).toEqual(["A", "Turn out 1", "Turn out 2", "B", "C"]);
    const other = withClimbOut(one, line(1500), plane);
    expect(other.points.map(({ name }) => name)).toEqual(["A", "Turn out 1", "B", "C"]);
    expect(plane.toPlane(other.points[1].position).x_m).toBeCloseTo(1500, 3);
  });
});
