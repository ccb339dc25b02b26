"use client";
import { useMemo } from "react";
import { classTable } from "@/core/school/class-table";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";
import type { SchoolMember } from "@/server/schools";
import { VERDICT_TONES, cellWords, exerciseName } from "./school-words";
import { type School, useSchool } from "./school-store";

/** A class by exercise: each student’s last result, how many tries, whether it is signed. */
export function ClassPanel({ school }: { school: School }) {
  const { handIns, lessons, members } = school;
  const table = useMemo(
    () =>
      classTable(
        handIns,
        lessons.toReversed().flatMap(({ lesson }) => lesson.parts.map(({ exerciseId }) => exerciseId)),
      ),
    [handIns, lessons],
  );
  const students = members.filter(({ role, accountId }) => role === "student" || table.cells.has(accountId));
  const columns: Column<SchoolMember>[] = [
    { name: "student", className: "pr-3 whitespace-nowrap", cell: ({ name }) => name },
    ...table.exercises.map((exercise): Column<SchoolMember> => ({
      name: exercise,
      head: (
        <span>
          {exerciseName(exercise)}
          <span className="block text-[12px]">
            {table.totals.get(exercise)?.signed ?? 0} of {students.length} signed
          </span>
        </span>
      ),
      kind: "words",
      className: "px-3",
      cell: ({ accountId }) => {
        const cell = table.cells.get(accountId)?.get(exercise);
        if (!cell) return <span className="text-ink2">–</span>;
        return (
          <button
            type="button"
            className={`text-left underline-offset-4 hover:underline focus-visible:underline ${cell.signed ? "font-semibold text-pine" : VERDICT_TONES[cell.last.result.verdict]}`}
            onClick={() => useSchool.setState({ looked: cell.last.id })}
          >
            {cellWords(cell)}
          </button>
        );
      },
    })),
  ];
  return students.length === 0 ? (
    <p className="max-w-prose text-ink2">
      No student yet. Make a code under “Members” and hand it over: one code lets a class in.
    </p>
  ) : (
    <DataTable
      rows={students}
      columns={columns}
      rowKey={({ accountId }) => accountId}
      label={`${school.name} by exercise`}
      className="text-[15px]"
      headClassName="align-bottom"
    />
  );
}
