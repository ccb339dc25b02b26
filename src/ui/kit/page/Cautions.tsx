import { TriangleAlert } from "lucide-react";

/** What must be said where figures can hurt somebody. */
export function Cautions({ texts }: { texts: readonly string[] }) {
  return (
    <ul className="flex flex-col gap-1.5 border-t border-rule px-4 py-2.5 text-[13px] text-ink2" aria-label="Cautions">
      {texts.map((text) => (
        <li key={text} className="flex gap-2">
          <TriangleAlert size={15} className="mt-0.5 shrink-0 text-ochre" aria-label="Caution:" />
          {text}
        </li>
      ))}
    </ul>
  );
}
