// The climb ledger as rows: from the climb on two engines down to what is left.
import type { ClimbItem, ClimbLedger } from "@/core/asymmetric/climb-ledger";

/** A row of the drawing; rates of climb, m/s. */
export interface LedgerRow {
  readonly name: string;
  readonly note: string | null;
  /** Whose working it opens. */
  readonly figure: string;
  readonly kind: "have" | "cost" | "left";
  readonly from_mps: number;
  readonly to_mps: number;
  readonly colour: string;
}

const COLOURS: Record<ClimbItem, string> = {
  propeller: "wheat",
  gear: "clay",
  flap: "clay",
  items: "plum",
  bank: "sage",
};

/** Under this nothing is said of what the items cost together, m/s: a foot a minute. */
const NOTHING_MPS = 0.005;

/**
 * The rows, which join: each begins where the one before ended.
 *
 * @param jet - it has no propeller to feather
 * @param names - of the items as they are out now
 * @param feetIn30 - words for what 30 s of a cost come to
 */
export function ledgerRows(
  ledger: ClimbLedger,
  jet: boolean,
  names: Readonly<Record<ClimbItem, string>>,
  feetIn30: (cost_mps: number) => string,
): LedgerRow[] {
  const rows: LedgerRow[] = [
    {
      name: "Two engines, clean",
      note: null,
      figure: "two",
      kind: "have",
      from_mps: 0,
      to_mps: ledger.twoEngines_mps,
      colour: "steel",
    },
  ];
  let climb_mps = ledger.twoEngines_mps;
  const cut = (name: string, note: string | null, figure: string, cost_mps: number, colour: string) => {
    rows.push({ name, note, figure, kind: "cost", from_mps: climb_mps, to_mps: climb_mps - cost_mps, colour });
    climb_mps -= cost_mps;
  };
  cut(
    "The engine",
    jet ? "windmilling, clean, no sideslip" : "feathered, clean, no sideslip",
    "engine",
    ledger.engine_mps,
    "ink2",
  );
  for (const { item, cost_mps } of ledger.items) cut(names[item], feetIn30(cost_mps), item, cost_mps, COLOURS[item]);
  if (Math.abs(ledger.together_mps) > NOTHING_MPS)
    cut(
      "Together",
      ledger.together_mps > 0 ? "more than each alone" : "less than each alone",
      "together",
      ledger.together_mps,
      "rule",
    );
  rows.push({
    name: ledger.left_mps >= 0 ? "Left" : "It descends",
    note: null,
    figure: "climb",
    kind: "left",
    from_mps: 0,
    to_mps: ledger.left_mps,
    colour: "sheet",
  });
  return rows;
}
