"use client";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { dayInWords } from "@/ui/kit/units/day-in-words";
import { SOURCE_WORDS, VERDICT_TONES, VERDICT_WORDS, exerciseName } from "./school-words";
import { takeBack, useSchool } from "./school-store";

/** All that the account has handed in, anywhere: it stays, school or no school. */
export function OwnHandIns() {
  const own = useSchool((state) => state.own);
  return (
    <DataTable
      rows={own}
      rowKey={({ id }) => id}
      label="Handed in by me"
      className="w-full text-[14px]"
      empty={<p className="text-ink2">Nothing yet. What is handed in for a lesson stays here, with its signature.</p>}
      columns={[
        { name: "flown", cell: ({ result }) => dayInWords(Date.parse(result.at)) },
        { name: "exercise", kind: "words", cell: ({ exerciseId }) => exerciseName(exerciseId) },
        { name: "how", kind: "words", cell: ({ result }) => SOURCE_WORDS[result.kind] },
        {
          name: "result",
          kind: "words",
          cell: ({ result }) => VERDICT_WORDS[result.verdict],
          tone: ({ result }) => VERDICT_TONES[result.verdict],
        },
        { name: "school, lesson", kind: "words", cell: ({ school, lesson }) => `${school}, ${lesson}` },
        {
          name: "signed",
          kind: "words",
          cell: ({ signed, signedBy, id }) =>
            signed === null ? (
              <button type="button" className="btn btn-quiet py-0" onClick={() => void takeBack(id)}>
                Take back
              </button>
            ) : signed ? (
              `by ${signedBy}`
            ) : (
              `once more: ${signedBy}`
            ),
        },
      ]}
    />
  );
}
