import type { ReactNode } from "react";
import { toast } from "sonner";

/** What is said when a fit has been taken over. */
const TAKEN = "The fit is in the model. Save the aircraft to use it in the other stages.";

/**
 * A fit to the handbook: what it is made from, and taking it over.
 *
 * @param onUse - null while there is nothing to take over; returns why it could not be, or nothing
 */
export function FitFrame({
  title,
  from,
  onUse,
  children,
}: {
  title: string;
  from: string;
  onUse: (() => string | void) | null;
  children: ReactNode;
}) {
  return (
    <section aria-label={title} className="mt-4 border border-rule px-4 py-3">
      <div className="flex items-baseline gap-4">
        <h2 className="text-[17px] font-bold whitespace-nowrap">{title}</h2>
        <p className="text-[13px] text-ink2">{from}</p>
        <button
          type="button"
          className="btn btn-primary ml-auto whitespace-nowrap"
          disabled={onUse === null}
          onClick={() => toast(onUse?.() ?? TAKEN)}
        >
          Use this fit
        </button>
      </div>
      {children}
    </section>
  );
}

/** What looks wrong about a fit. */
export function FitDoubts({ doubts }: { doubts: readonly string[] }) {
  if (doubts.length === 0) return null;
  return (
    <ul role="status" className="mt-1 list-disc pl-5 text-[14px] text-brick">
      {doubts.map((doubt) => (
        <li key={doubt}>{doubt}</li>
      ))}
    </ul>
  );
}

/** How far a model lies off the book, in per cent with its sign; nothing beside a book's 0. */
export function offBy({ book, model }: { readonly book: number; readonly model: number }): string {
  if (book === 0) return "–";
  const percent = Math.round((model / book - 1) * 1000) / 10;
  return `${percent >= 0 ? "+" : "−"}${Math.abs(percent).toFixed(1)} %`;
}
