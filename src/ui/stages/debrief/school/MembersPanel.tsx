"use client";
import { useState } from "react";
import { SCHOOL_ROLES, mayDo } from "@/core/school/school";
import { dayInWords } from "@/ui/kit/units/day-in-words";
import { ROLE_WORDS } from "./school-words";
import { type School, dissolve, giveRole, invite, takeOut, useSchool } from "./school-store";

/** Who is what, who sees what, codes to let others in, and the way out. */
export function MembersPanel({ school }: { school: School }) {
  const code = useSchool((state) => state.code);
  const [sure, setSure] = useState<string | null>(null);
  const { role, me, members } = school;
  const twice = (what: string, label: string, says: string, done: () => void) => (
    <button
      type="button"
      className="btn btn-quiet py-0.5"
      onBlur={() => setSure(null)}
      onClick={() => (sure === what ? done() : setSure(what))}
    >
      {sure === what ? says : label}
    </button>
  );
  return (
    <div className="grid max-w-3xl gap-4">
      {(mayDo(role, "invite students") || mayDo(role, "invite instructors")) && (
        <section className="flex flex-wrap items-center gap-2" aria-label="Codes">
          {mayDo(role, "invite students") && (
            <button type="button" className="btn" onClick={() => void invite("student")}>
              A code for students
            </button>
          )}
          {mayDo(role, "invite instructors") && (
            <button type="button" className="btn btn-quiet" onClick={() => void invite("instructor")}>
              A code for an instructor
            </button>
          )}
          {code && (
            <p role="status" className="w-full">
              Hand over <strong className="num text-[17px]">{code.code}</strong>: shown once, good for seven days,{" "}
              {code.role === "student" ? "for a class of sixty" : "for one instructor"}.
            </p>
          )}
        </section>
      )}
      <table className="text-[15px]">
        <caption className="sr-only">Members</caption>
        <thead className="text-left text-[13px] text-ink2">
          <tr>
            <th scope="col" className="font-normal">
              Member
            </th>
            <th scope="col" className="font-normal">
              Role
            </th>
            <th scope="col" className="font-normal">
              Since
            </th>
            <th scope="col">
              <span className="sr-only">What can be done</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {members.map((member) => {
            const mine = member.accountId === me;
            const removable = mayDo(role, member.role === "student" ? "remove students" : "set roles");
            return (
              <tr key={member.accountId} className="border-t border-rule">
                <th scope="row" className="py-1 pr-4 text-left font-semibold">
                  {member.name}
                  {mine ? " (you)" : ""}
                </th>
                <td className="pr-4">
                  {mayDo(role, "set roles") ? (
                    <select
                      className="field w-auto py-0.5"
                      aria-label={`Role of ${member.name}`}
                      value={member.role}
                      onChange={(event) => {
                        const to = SCHOOL_ROLES.find((one) => one === event.currentTarget.value);
                        if (to) void giveRole(member.accountId, to);
                      }}
                    >
                      {SCHOOL_ROLES.map((one) => (
                        <option key={one} value={one}>
                          {one}
                        </option>
                      ))}
                    </select>
                  ) : (
                    member.role
                  )}
                </td>
                <td className="num pr-4 text-[14px]">{dayInWords(Date.parse(member.joinedAt))}</td>
                <td>
                  {mine
                    ? twice("leave", "Leave the school", "Leave, with what is mine?", () => void takeOut(me))
                    : removable &&
                      twice(
                        member.accountId,
                        "Take out",
                        `Take ${member.name} out?`,
                        () => void takeOut(member.accountId),
                      )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <section aria-label="Who sees what">
        <h2 className="font-bold">Who sees what</h2>
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 text-[14px]">
          {SCHOOL_ROLES.map((one) => (
            <div key={one} className="col-span-2 grid grid-cols-subgrid">
              <dt className="text-ink2">{one}</dt>
              <dd>{ROLE_WORDS[one]}</dd>
            </div>
          ))}
        </dl>
        <p className="mt-1 max-w-prose text-[14px] text-ink2">
          Results belong to who flew them. Who leaves takes them along, signatures too, and the school sees them no
          more.
        </p>
      </section>
      {mayDo(role, "dissolve") && (
        <p>{twice("dissolve", "End the school", "End it for all, for good?", () => void dissolve())}</p>
      )}
    </div>
  );
}
