import { Matrix, inverse as reference } from "ml-matrix";
import { describe, expect, it } from "vitest";
import { inverse, solveLinear } from "./solve-linear";

describe("small systems of equations", () => {
  const matrix = [
    [0, 2, 1],
    [4, -1, 3],
    [1, 1, 5],
  ];

  it("solves with a nought on the diagonal; the matrix stays as it was", () => {
    const x = [1.5, -2, 3];
    const right = matrix.map((row) => row.reduce((sum, value, i) => sum + value * x[i], 0));
    solveLinear(matrix, right)?.forEach((value, i) => expect(value).toBeCloseTo(x[i], 12));
    expect(matrix[0]).toEqual([0, 2, 1]);
  });

  // Held against ml-matrix.
  it("inverts as the reference does", () => {
    const expected = reference(new Matrix(matrix)).to2DArray();
    inverse(matrix)?.forEach((row, i) => row.forEach((value, j) => expect(value).toBeCloseTo(expected[i][j], 12)));
  });

  it("has no answer where rows depend on one another", () => {
    expect(
      solveLinear(
        [
          [1, 2],
          [2, 4],
        ],
        [1, 2],
      ),
    ).toBeNull();
    expect(
      inverse([
        [1, 2],
        [2, 4],
      ]),
    ).toBeNull();
  });
});
