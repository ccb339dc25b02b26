"use client";
import { useEffect, useState } from "react";
import type { CrewRole } from "@/core/procedure/crew-run";
import { send } from "@/ui/kit/request";
import { ROLE_WORDS } from "./crew-words";

interface Found {
  readonly id: string;
  readonly name: string;
  readonly aircraft: string;
  readonly roles: readonly { readonly role: CrewRole; readonly taken: boolean }[];
}

interface Looked {
  readonly found: Found | null;
  readonly fault: string | null;
}

/** The crew of a code, with which parts are free; or why there is none. */
async function lookFor(code: string): Promise<Looked> {
  const answer = await send<Found>("POST", "/api/crews/join", { code, role: null });
  return answer.ok
    ? { found: answer.value, fault: null }
    : { found: null, fault: answer.issues.map(({ message }) => message).join(" ") };
}

/** A code, then a part. No account is needed. */
export function JoinCrew({ code: given, onJoined }: { code: string; onJoined: (id: string, code: string) => void }) {
  const [code, setCode] = useState(given);
  const [found, setFound] = useState<Found | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const show = ({ found: crew, fault: why }: Looked) => {
    setFound(crew);
    setFault(why);
  };
  useEffect(() => {
    if (given !== "") void lookFor(given).then(show);
  }, [given]);
  const join = async (role: CrewRole) => {
    const answer = await send<{ id: string }>("POST", "/api/crews/join", { code, role });
    if (answer.ok) onJoined(answer.value.id, code);
    else {
      show(await lookFor(code));
      setFault(answer.issues.map(({ message }) => message).join(" "));
    }
  };
  return (
    <main className="mx-auto max-w-lg p-8">
      <h1 className="text-[22px] font-bold">Join a crew</h1>
      <p className="mt-1 text-ink2">
        A drill that two run together or a flight that others look on at, each in a browser of his own, with an
        instructor beside them if there is one. No account is needed.
      </p>
      <form
        className="mt-4 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void lookFor(code).then(show);
        }}
      >
        <label>
          <span className="mb-0.5 block text-sm text-ink2">Code</span>
          <input
            className="field num text-[18px]"
            maxLength={20}
            value={code}
            autoFocus
            onChange={(event) => setCode(event.currentTarget.value)}
          />
        </label>
        <button type="submit" className="btn" disabled={code.trim() === ""}>
          Look
        </button>
      </form>
      {fault !== null && (
        <p role="alert" className="mt-3 text-brick">
          {fault}
        </p>
      )}
      {found && (
        <section className="mt-5" aria-label="Parts">
          <h2 className="font-bold">
            {found.name}, {found.aircraft}
          </h2>
          <div className="mt-2 flex flex-wrap gap-2">
            {found.roles.map(({ role, taken }) => (
              <button key={role} type="button" className="btn" disabled={taken} onClick={() => void join(role)}>
                {ROLE_WORDS[role]}
                {taken ? ", taken" : ""}
              </button>
            ))}
          </div>
        </section>
      )}
    </main>
  );
}
