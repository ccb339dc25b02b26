import Link from "next/link";
import type { ReactNode } from "react";
import { Mark } from "./Mark";

interface Props {
  title: string;
  children: ReactNode;
  action?: ReactNode;
}

/** A page with one thing to say and a way on. */
export function Notice(props: Props) {
  return (
    <main className="mx-auto flex min-h-full max-w-xl flex-col justify-center gap-4 px-6 py-16">
      <Mark />
      <NoticeText {...props} />
    </main>
  );
}

/** The same inside the workspace, which has a main part already. */
export function NoticeText({ title, children, action }: Props) {
  return (
    <>
      <h1 className="text-2xl font-bold">{title}</h1>
      <div className="flex flex-col gap-2">{children}</div>
      <div className="flex gap-3">
        {action}
        <Link className="btn" href="/">
          Go to the start
        </Link>
      </div>
    </>
  );
}
