import type { ReactNode } from "react";

/** A heading with its fields in columns. */
export function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset className="mt-4 border-t border-ink2 pt-1">
      <legend className="pr-3 font-bold">{title}</legend>
      <div className="grid grid-cols-4 items-start gap-x-4 gap-y-3 max-[1150px]:grid-cols-3">{children}</div>
    </fieldset>
  );
}
