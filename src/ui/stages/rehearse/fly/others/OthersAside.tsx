"use client";
import { CrewCode } from "../../crew/CrewCode";
import { CrewNotes } from "../../crew/CrewNotes";
import { useCrew } from "../../crew/crew-store";
import { ROLE_WORDS } from "../../crew/crew-words";
import { useOthers } from "./others";
import { rolesHere } from "./roles-here";

/** Who looks on at this flight, the code for those who are still to come, and what the instructor noted. */
export function OthersAside() {
  const code = useOthers((state) => state.code);
  const { log, link } = useCrew();
  if (code === null) return null;
  const others = rolesHere(log).filter((role) => role !== "flying");
  return (
    <>
      {others.length === 0 ? (
        <CrewCode code={code} />
      ) : (
        <section className="border-t border-rule px-4 py-2 text-[14px]" aria-label="Others">
          <p>
            With you: {others.map((role) => ROLE_WORDS[role]).join(", ")}. Code{" "}
            <span className="num">{code.toUpperCase()}</span>
          </p>
          {link === "lost" && (
            <p role="status" className="text-ochre">
              The line is lost: they see nothing of it until it is back. The flight goes on.
            </p>
          )}
        </section>
      )}
      <CrewNotes log={log} />
    </>
  );
}
