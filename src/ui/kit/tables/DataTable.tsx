"use client";
import { type Cell, type ColumnDef, FlexRender, tableFeatures, useTable } from "@tanstack/react-table";
import { type ComponentProps, Fragment, type ReactNode, useMemo } from "react";
import { type Column, type ColumnGroup, leavesOf } from "./column";

interface Props<T extends object> {
  rows: readonly T[];
  columns: readonly (Column<T> | ColumnGroup<T>)[];
  rowKey: (row: T, i: number) => string | number;
  /** What the table holds, seen above it. */
  caption?: ReactNode;
  /** What the table holds, read out only: the heading above it has said so already. */
  label?: string;
  rowProps?: (row: T, i: number) => ComponentProps<"tr">;
  /** A second line of a row, under all columns but the first. */
  under?: (row: T, i: number) => ReactNode;
  /** What stands there when there are no rows. */
  empty?: ReactNode;
  className?: string;
  headClassName?: string;
}

const features = tableFeatures({});

/** A table of what was computed. */
export function DataTable<T extends object>(props: Props<T>) {
  const { rows, columns, caption, label, under, empty, className = "w-full text-[14px]", headClassName = "" } = props;
  const leaves = useMemo(() => new Map(leavesOf(columns).map((column) => [column.name, column])), [columns]);
  const table = useTable({ features, data: rows, columns: useMemo(() => columns.map(definition), [columns]) });
  return (
    <table className={className}>
      {(caption ?? label) && (
        <caption className={caption ? "pb-1 text-left text-[13px] text-ink2" : "sr-only"}>{caption ?? label}</caption>
      )}
      <thead className={`text-[13px] text-ink2 ${headClassName}`}>
        {table.getHeaderGroups().map((group) => (
          <tr key={group.id}>
            {group.headers.map((header, i) => {
              const place = placeOf(leaves.get(header.column.id), i);
              // Over a column without a group there is nothing to read.
              if (header.isPlaceholder) return <td key={header.id} className={place} />;
              return (
                <th
                  key={header.id}
                  scope={header.subHeaders.length > 0 ? "colgroup" : "col"}
                  colSpan={header.colSpan}
                  className={`font-normal ${place}`}
                >
                  <FlexRender header={header} />
                </th>
              );
            })}
          </tr>
        ))}
      </thead>
      <tbody>
        {table.getRowModel().rows.map((row, i) => {
          const { className: line = "", ...more } = props.rowProps?.(row.original, i) ?? {};
          return (
            <Fragment key={props.rowKey(row.original, i)}>
              <tr className={`border-t border-rule ${line}`} {...more}>
                {row.getAllCells().map((cell, index) => (
                  <CellOf
                    key={cell.id}
                    cell={cell}
                    i={i}
                    at={index}
                    column={leaves.get(cell.column.id)}
                    tall={!!under}
                  />
                ))}
              </tr>
              {under && (
                <tr className={line}>
                  <td colSpan={leaves.size - 1} className="px-2 pb-1.5 text-left leading-5">
                    {under(row.original, i)}
                  </td>
                </tr>
              )}
            </Fragment>
          );
        })}
        {rows.length === 0 && empty && (
          <tr>
            <td colSpan={leaves.size} className="py-3 text-left text-ink2">
              {empty}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

function CellOf<T extends object>({
  cell,
  column,
  i,
  at,
  tall,
}: {
  cell: Cell<typeof features, T>;
  column: Column<T> | undefined;
  i: number;
  at: number;
  tall: boolean;
}) {
  const figure = isFigure(column, at) ? "num py-0.5 whitespace-nowrap" : "py-0.5";
  const className = `${placeOf(column, at)} ${figure} ${column?.tone?.(cell.row.original, i) ?? ""}`;
  // Called, not rendered as a component: a cell of new columns stays the field that is typed in.
  const content = column?.cell(cell.row.original, i);
  if (at > 0) return <td className={className}>{content}</td>;
  return (
    <th scope={tall ? "rowgroup" : "row"} rowSpan={tall ? 2 : undefined} className={`font-normal ${className}`}>
      {content}
    </th>
  );
}

function isFigure<T>(column: Column<T> | undefined, index: number): boolean {
  return (column?.kind ?? (index === 0 ? "words" : "figure")) === "figure";
}

/** Words stand left, figures right; the first column begins at the edge. */
function placeOf<T>(column: Column<T> | undefined, index: number): string {
  return `${isFigure(column, index) ? "text-right" : "text-left"} ${index === 0 ? "pr-1.5" : "px-1.5 last:pr-0"} ${column?.className ?? ""}`;
}

function definition<T extends object>(column: Column<T> | ColumnGroup<T>): ColumnDef<typeof features, T> {
  if ("columns" in column)
    return { id: column.name, header: column.name, columns: column.columns.map((leaf) => definition(leaf)) };
  return {
    id: column.name,
    header: () => column.head ?? column.name,
  };
}
