import { Matrix, solve } from "ml-matrix";
import { describe, expect, it } from "vitest";
import { hydrostaticHeight_m, trueHeight } from "./true-height";
import { smoothAxis } from "./smooth-axis";

/** Repeatable noise, about a standard deviation of 1: a sum of twelve of a congruential generator. */
function noise(seed: number): () => number {
  let state = seed;
  const next = () => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return state / 2147483648;
  };
  return () => Array.from({ length: 12 }, next).reduce((sum, value) => sum + value, -6);
}

/**
 * The same estimate by one large system of equations, from ml-matrix: measurements, white-jerk steps and what is known
 * at first, each by its inverse covariance.
 */
function batch(
  time: readonly number[],
  z: readonly number[],
  q: number,
  r: number,
  v: readonly number[],
  rv: number,
): number[][] {
  const n = time.length;
  const normal = Matrix.zeros(3 * n, 3 * n);
  const right = Matrix.zeros(3 * n, 1);
  const add = (rows: number, column: number, value: number) =>
    normal.set(rows, column, normal.get(rows, column) + value);
  add(0, 0, 1 / r);
  add(1, 1, 1e-4);
  add(2, 2, 1 / 9);
  right.set(0, 0, z.find(Number.isFinite)! / r);
  for (let i = 0; i < n; i += 1) {
    if (Number.isFinite(z[i])) {
      add(3 * i, 3 * i, 1 / r);
      right.set(3 * i, 0, right.get(3 * i, 0) + z[i] / r);
    }
    if (Number.isFinite(v[i])) {
      add(3 * i + 1, 3 * i + 1, 1 / rv);
      right.set(3 * i + 1, 0, right.get(3 * i + 1, 0) + v[i] / rv);
    }
    if (i === 0) continue;
    const dt = time[i] - time[i - 1];
    const step = new Matrix([
      [1, dt, (dt * dt) / 2],
      [0, 1, dt],
      [0, 0, 1],
    ]);
    const cov = new Matrix([
      [dt ** 5 / 20, dt ** 4 / 8, dt ** 3 / 6],
      [dt ** 4 / 8, dt ** 3 / 3, dt ** 2 / 2],
      [dt ** 3 / 6, dt ** 2 / 2, dt],
    ]).mul(q);
    const weight = solve(cov, Matrix.eye(3));
    const both = Matrix.zeros(3, 6);
    both.setSubMatrix(Matrix.mul(step, -1), 0, 0);
    both.setSubMatrix(Matrix.eye(3), 0, 3);
    const part = both.transpose().mmul(weight).mmul(both);
    for (let a = 0; a < 6; a += 1) for (let b = 0; b < 6; b += 1) add(3 * (i - 1) + a, 3 * (i - 1) + b, part.get(a, b));
  }
  const x = solve(normal, right).to1DArray();
  return [0, 1, 2].map((part) => time.map((_, i) => x[3 * i + part]));
}

describe("smoothing", () => {
  it("is the least-squares estimate from all measurements, with holes, uneven steps and speeds of their own", () => {
    const time = [0, 1, 2, 2.4, 3.1, 4, 7.5, 8, 9, 10, 11, 12];
    const random = noise(7);
    const z = time.map((t, i) => (i === 4 ? NaN : 20 * t + 0.4 * t * t + random()));
    const v = time.map((t, i) => (i % 3 === 0 ? 20 + 0.8 * t + 0.2 * random() : NaN));
    const found = smoothAxis(
      Float64Array.from(time),
      Float64Array.from(z),
      { jerk: 0.7, position: 1.3, speed: 0.04 },
      Float64Array.from(v),
    );
    const [position, speed, acceleration] = batch(time, z, 0.7, 1.3, v, 0.04);
    time.forEach((_, i) => {
      expect(found?.position[i]).toBeCloseTo(position[i], 5);
      expect(found?.speed[i]).toBeCloseTo(speed[i], 5);
      expect(found?.acceleration[i]).toBeCloseTo(acceleration[i], 5);
    });
  });

  it("one measurement far off is not believed; a line that stays off is", () => {
    const time = Float64Array.from({ length: 60 }, (_, i) => i);
    const one = time.map((t) => (t === 30 ? 900 : 10 * t));
    const smooth = smoothAxis(time, one, { jerk: 0.5, position: 1 });
    expect(smooth?.position[30]).toBeCloseTo(300, 0);
    const moved = time.map((t) => (t < 30 ? 10 * t : 10 * t + 400));
    const back = smoothAxis(time, moved, { jerk: 0.5, position: 1 });
    expect(Math.abs((back?.position[50] ?? NaN) - 900)).toBeLessThan(10);
  });

  it("nothing measured is nothing; one fix stays where it is", () => {
    expect(smoothAxis(Float64Array.of(0, 1), Float64Array.of(NaN, NaN), { jerk: 1, position: 1 })).toBeNull();
    expect(smoothAxis(Float64Array.of(0), Float64Array.of(5), { jerk: 1, position: 1 })?.position[0]).toBe(5);
  });
});

describe("height from pressure", () => {
  // A standard column stretched by its temperature: 1 000 m at ISA + 15 are about 5 % more, by hand 15/288 to 15/281.6.
  it("runs short in warm air, long in cold", () => {
    expect(hydrostaticHeight_m(1000, 0)).toBe(1000);
    expect(hydrostaticHeight_m(1000, 15)).toBeGreaterThan(1000 * (1 + 15 / 288.15));
    expect(hydrostaticHeight_m(1000, 15)).toBeLessThan(1000 * (1 + 15 / 281.65));
    expect(hydrostaticHeight_m(1000, -15)).toBeLessThan(950);
    expect(hydrostaticHeight_m(12_000, 10) - hydrostaticHeight_m(11_000, 10)).toBeCloseTo(1000 * (1 + 10 / 216.65), 6);
  });

  it("takes its place from the receiver, and without the day’s temperature half of its shape", () => {
    const pressure = Float64Array.from({ length: 400 }, (_, i) => 500 + 5 * i);
    const gps = pressure.map((h) => 100 + h * 1.05);
    const told = trueHeight(
      pressure,
      pressure.map((h) => h + 100),
      0,
    );
    expect(told[0]).toBeCloseTo(600, 6);
    const fitted = trueHeight(pressure, gps, null);
    const stretch = (fitted[399] - fitted[0]) / (pressure[399] - pressure[0]);
    expect(stretch).toBeGreaterThan(1.045);
    expect(stretch).toBeLessThan(1.05);
  });
});
