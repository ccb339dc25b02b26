import Link from "next/link";
import type { ReactNode } from "react";
import { Mark } from "./Mark";

/** A page with one thing to say and a way on. */
export function Notice({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) {
  return (
    <main className="mx-auto flex min-h-full max-w-xl flex-col justify-center gap-4 px-6 py-16">
      <Mark />
      <h1 className="text-2xl font-bold">{title}</h1>
      <div className="flex flex-col gap-2">{children}</div>
      <div className="flex gap-3">
        {action}
        <Link className="btn" href="/">
          Go to the start
        </Link>
      </div>
    </main>
  );
}
