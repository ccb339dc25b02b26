import type { ReactNode } from "react";
import { Cautions } from "./Cautions";

interface Props {
  /** What to do, its lead first; null while it is computed. */
  said: { readonly lead: string; readonly rest: string } | null;
  /** It works as it is. */
  good: boolean;
  cautions: readonly string[];
  /** What it rests on. */
  children?: ReactNode;
}

/** The column beside a view: the decision in a sentence, what it rests on, the cautions. */
export function DecisionAside({ said, good, cautions, children }: Props) {
  if (!said) return <aside className="border-l border-rule" aria-label="Decision" />;
  return (
    <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Decision">
      <section className="px-4 py-3" aria-label="Decision">
        <p className={`[overflow-wrap:anywhere] ${good ? "" : "text-brick"}`}>
          <strong className="block text-[20px] leading-6">{said.lead}</strong> {said.rest}
        </p>
      </section>
      {children}
      <div className="mt-auto">
        <Cautions texts={cautions} />
      </div>
    </aside>
  );
}

/** Figures with their names, in the column beside a view. */
export function AsideFigures({ children }: { children: ReactNode }) {
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-y-1 border-t border-rule px-4 py-3 text-[15px] [&>dd]:text-right [&>dt]:text-ink2">
      {children}
    </dl>
  );
}
