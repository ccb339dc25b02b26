import type { FlightEvent } from "@/core/exercise/flight-crew";
import { formatClock } from "@/core/quantities/clock";

/** What the instructor noted. */
export function CrewNotes({ log }: { log: readonly FlightEvent[] }) {
  const notes = log.flatMap(({ seq, time_s, did }) => (did.kind === "note" ? [{ seq, time_s, text: did.text }] : []));
  if (notes.length === 0) return null;
  return (
    <section className="border-t border-rule px-4 py-2 text-[14px]" aria-label="Notes">
      <ul>
        {notes.map(({ seq, time_s, text }) => (
          <li key={seq}>
            <span className="num text-ink2">{formatClock(time_s)}</span> {text}
          </li>
        ))}
      </ul>
    </section>
  );
}
