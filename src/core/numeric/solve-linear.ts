/**
 * Solves a small system of linear equations by elimination with pivots.
 *
 * @param matrix - rows; not changed
 * @returns null where it has no single answer
 */
export function solveLinear(matrix: readonly (readonly number[])[], right: readonly number[]): number[] | null {
  const n = right.length;
  const rows = right.map((value, i) => [...matrix[i], value]);
  for (let i = 0; i < n; i += 1) {
    const best = rows.reduce((top, row, j) => (j >= i && Math.abs(row[i]) > Math.abs(rows[top][i]) ? j : top), i);
    [rows[i], rows[best]] = [rows[best], rows[i]];
    if (!(Math.abs(rows[i][i]) > 1e-12)) return null;
    for (let j = i + 1; j < n; j += 1) {
      const factor = rows[j][i] / rows[i][i];
      for (let k = i; k <= n; k += 1) rows[j][k] -= factor * rows[i][k];
    }
  }
  const x = Array.from({ length: n }, () => 0);
  for (let i = n - 1; i >= 0; i -= 1)
    x[i] = (rows[i][n] - rows[i].slice(i + 1, n).reduce((sum, value, k) => sum + value * x[i + 1 + k], 0)) / rows[i][i];
  return x;
}

/** The inverse of a small matrix; null where it has none. */
export function inverse(matrix: readonly (readonly number[])[]): number[][] | null {
  const columns = matrix.map((_, i) =>
    solveLinear(
      matrix,
      matrix.map((__, j) => (i === j ? 1 : 0)),
    ),
  );
  if (columns.some((column) => column === null)) return null;
  return matrix.map((_, i) => columns.map((column) => (column ?? [])[i]));
}
