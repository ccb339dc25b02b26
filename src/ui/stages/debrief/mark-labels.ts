// Where the labels of a map's marks stand: to the right of what they mark; those that would lie on each other apart.

interface Marked {
  readonly at: readonly number[];
}

/** Lines of text are so high, and labels so wide, px; a label stands so far from its mark where it is moved, px. */
const [LINE_PX, WIDE_PX, ASIDE_PX] = [22, 190, 34];

/**
 * Places the labels.
 *
 * @param marks - in the plane, m
 * @param resolution_m - metres of a pixel
 */
export function labelled<T extends Marked>(
  marks: readonly T[],
  resolution_m: number,
): (T & { labelAt: readonly number[] })[] {
  const placed: (readonly number[])[] = [];
  const free = ([x, y]: readonly number[]) =>
    placed.every(
      ([px, py]) => Math.abs(px - x) > WIDE_PX * resolution_m || Math.abs(py - y) > (LINE_PX - 1) * resolution_m,
    );
  return marks.map((mark) => {
    let labelAt = mark.at;
    // Up and down by a line more each time, to the right, until there is room.
    for (let n = 1; !free(labelAt) && n <= 12; n += 1) {
      const lines = Math.ceil(n / 2) * (n % 2 === 1 ? 1 : -1);
      labelAt = [mark.at[0] + ASIDE_PX * resolution_m, mark.at[1] + lines * LINE_PX * resolution_m];
    }
    placed.push(labelAt);
    return { ...mark, labelAt };
  });
}
