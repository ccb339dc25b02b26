// What the height at hand means at the keys: too much and where to be with it, or which key has been missed and what is
// left.

/**
 * A circuit as the advice needs it: what the keys ask for and what is there when they are passed, over the aim point.
 */
interface Circuit {
  readonly side: "left" | "right";
  readonly keys: readonly { readonly name: string; readonly height_m: number }[];
  readonly fromHere: { readonly overhead_m: number | null; readonly abeam_m: number | null };
}

/**
 * `high` reaches the overhead key with height to lose; `overhead` passes it as planned; `overhead-missed` is too low
 * for it but not for abeam; `both-missed` is too low for either, what is left is the shortest way in.
 */
export interface HeightAdvice {
  readonly kind: "high" | "overhead" | "overhead-missed" | "both-missed";
  readonly side: "left" | "right";
  /** Over the overhead key (`high`), or below the key that has been missed last, m; the reserve counts. */
  readonly off_m: number;
  /** Over the aim point to have at the keys, the reserve on top, m. */
  readonly overhead_m: number;
  readonly abeam_m: number;
}

/** A key is passed as planned within this, m (100 ft). */
const AS_PLANNED_M = 30;

/**
 * The advice of the better side.
 *
 * @param reserve_m - kept over what the keys need
 * @returns null when neither side has a circuit with a way to it
 */
export function heightAdvice(circuits: readonly Circuit[], reserve_m: number): HeightAdvice | null {
  const told = circuits.flatMap(({ side, keys, fromHere }) => {
    const [overhead, abeam] = ["overhead", "abeam"].map((name) => keys.find((key) => key.name === name));
    if (!overhead || !abeam || fromHere.overhead_m === null || fromHere.abeam_m === null) return [];
    const need = { overhead_m: overhead.height_m + reserve_m, abeam_m: abeam.height_m + reserve_m };
    return [
      { side, ...need, spare_m: fromHere.overhead_m - need.overhead_m, abeamSpare_m: fromHere.abeam_m - need.abeam_m },
    ];
  });
  if (told.length === 0) return null;
  const [best] = told.toSorted((a, b) => b.spare_m - a.spare_m);
  if (best.spare_m >= -AS_PLANNED_M)
    return {
      kind: best.spare_m > AS_PLANNED_M ? "high" : "overhead",
      side: best.side,
      off_m: Math.max(best.spare_m, 0),
      overhead_m: best.overhead_m,
      abeam_m: best.abeam_m,
    };
  const [nearer] = told.toSorted((a, b) => b.abeamSpare_m - a.abeamSpare_m);
  const { side, overhead_m, abeam_m } = nearer;
  return nearer.abeamSpare_m >= 0
    ? { kind: "overhead-missed", side, off_m: -nearer.spare_m, overhead_m, abeam_m }
    : { kind: "both-missed", side, off_m: -nearer.abeamSpare_m, overhead_m, abeam_m };
}
