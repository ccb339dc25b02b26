import type { ReactNode } from "react";

/** A column of figures, which stand right and line up, or of words, which stand left. */
export interface Column<T> {
  /** Name over the column, and its key. */
  readonly name: string;
  /** What stands over the column where the name alone does not do. */
  readonly head?: ReactNode;
  readonly cell: (row: T, i: number) => ReactNode;
  /** The first column names its row and holds words; the others hold figures unless they say otherwise. */
  readonly kind?: "figure" | "words";
  /** Of head and cells. */
  readonly className?: string;
  /** Of one cell: what is good, bad or weighty stands out. */
  readonly tone?: (row: T, i: number) => string;
}

/** Columns under a heading of their own. */
export interface ColumnGroup<T> {
  readonly name: string;
  readonly columns: readonly Column<T>[];
}

/** The columns that hold cells, from left to right. */
export function leavesOf<T>(columns: readonly (Column<T> | ColumnGroup<T>)[]): Column<T>[] {
  return columns.flatMap((column) => ("columns" in column ? column.columns : column));
}
