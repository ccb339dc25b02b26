"use client";
import { useState } from "react";
import { mayDo } from "@/core/school/school";
import { TextField } from "@/ui/kit/forms/TextField";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { dayInWords } from "@/ui/kit/units/day-in-words";
import type { HandIn } from "@/server/lessons";
import { SOURCE_WORDS, VERDICT_TONES, VERDICT_WORDS, exerciseName } from "./school-words";
import { type School, sign, useSchool } from "./school-store";

const CAUTIONS = [
  "A signature here is the school’s own record. It takes the place of none that an authority asks for.",
  "A score is of what was measured; look-out, judgement and speech an instructor sees.",
];

/** What waits to be signed; what is looked at, with its signature. */
export function SchoolAside() {
  const { school, schools, looked } = useSchool();
  if (!school)
    return (
      <DecisionAside
        said={{ lead: schools ? "No school yet." : "…", rest: schools ? "Found one, or join one by its code." : "" }}
        good
        cautions={CAUTIONS}
      />
    );
  const teaches = mayDo(school.role, "sign");
  const waiting = school.handIns.filter(({ signed, accountId }) => signed === null && accountId !== school.me);
  const mine = school.handIns.filter(({ accountId, signed }) => accountId === school.me && signed === null);
  const one = school.handIns.find(({ id }) => id === looked) ?? null;
  const lead = teaches
    ? waiting.length === 0
      ? "Nothing waits to be signed."
      : `${waiting.length} ${waiting.length === 1 ? "result waits" : "results wait"} to be signed.`
    : mine.length === 0
      ? "Nothing of yours waits."
      : `${mine.length} of yours ${mine.length === 1 ? "waits" : "wait"} to be signed.`;
  return (
    <DecisionAside
      said={{
        lead,
        rest: `${school.name}: you are ${school.role === "student" ? "a student" : `its ${school.role}`}, called ${school.as}.`,
      }}
      good
      cautions={CAUTIONS}
    >
      {one && <HandInPanel key={one.id} school={school} handIn={one} />}
      {teaches && waiting.length > 0 && (
        <section className="border-t border-rule px-4 py-2 text-[15px]" aria-label="Waits to be signed">
          <ul>
            {waiting.slice(0, 30).map((each) => (
              <li key={each.id} className="py-0.5">
                <button
                  type="button"
                  className="text-left underline-offset-4 hover:underline focus-visible:underline"
                  aria-pressed={looked === each.id}
                  onClick={() => useSchool.setState({ looked: each.id })}
                >
                  {nameOf(school, each)}: {exerciseName(each.exerciseId)},{" "}
                  <span className={VERDICT_TONES[each.result.verdict]}>{VERDICT_WORDS[each.result.verdict]}</span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </DecisionAside>
  );
}

const nameOf = ({ members }: School, { accountId }: HandIn) =>
  members.find((member) => member.accountId === accountId)?.name ?? "somebody";

function HandInPanel({ school, handIn }: { school: School; handIn: HandIn }) {
  const [words, setWords] = useState(handIn.words);
  const { result } = handIn;
  const tries = school.handIns
    .filter(({ accountId, exerciseId }) => accountId === handIn.accountId && exerciseId === handIn.exerciseId)
    .toSorted((a, b) => a.result.at.localeCompare(b.result.at));
  const signs = mayDo(school.role, "sign") && handIn.accountId !== school.me;
  return (
    <section className="border-t border-rule px-4 py-2 text-[15px]" aria-label="Handed in">
      <h2 className="font-bold">
        {nameOf(school, handIn)}, {exerciseName(handIn.exerciseId)}
      </h2>
      <p>
        {dayInWords(Date.parse(result.at))}, {SOURCE_WORDS[result.kind]}, {result.aircraft}:{" "}
        <span className={VERDICT_TONES[result.verdict]}>{VERDICT_WORDS[result.verdict]}</span>.
      </p>
      <p className="text-[13px] text-ink2">{result.words}</p>
      {tries.length > 1 && (
        <ol className="text-[14px]" aria-label="All tries">
          {tries.map((each) => (
            <li key={each.id} className={each.id === handIn.id ? "font-semibold" : ""}>
              {dayInWords(Date.parse(each.result.at))}{" "}
              <span className={VERDICT_TONES[each.result.verdict]}>{VERDICT_WORDS[each.result.verdict]}</span>
            </li>
          ))}
        </ol>
      )}
      {handIn.signed !== null && (
        <p>
          {handIn.signed ? "Signed" : "To be flown again"}, {handIn.signedBy}
          {handIn.signedAt === null ? "" : `, ${dayInWords(Date.parse(handIn.signedAt))}`}
          {handIn.words === "" ? "." : `: “${handIn.words}”`}
        </p>
      )}
      {signs && (
        <div className="mt-1 grid gap-2">
          <TextField
            label="What you say to it"
            value={words}
            fault={null}
            onChange={(text) => setWords(text.slice(0, 400))}
          />
          <p className="flex gap-2">
            <button type="button" className="btn" onClick={() => void sign(handIn, true, words.trim())}>
              Sign off
            </button>
            <button type="button" className="btn btn-quiet" onClick={() => void sign(handIn, false, words.trim())}>
              Once more
            </button>
          </p>
        </div>
      )}
    </section>
  );
}
