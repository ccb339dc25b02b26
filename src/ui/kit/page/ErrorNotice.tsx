"use client";
import { useSyncExternalStore } from "react";
import { Notice } from "./Notice";

const neverChanges = () => () => undefined;
const numberOfPage = () => document.querySelector('meta[name="request-number"]')?.getAttribute("content") ?? "";

/** What is shown when a page cannot be made; most often the database is away. */
export function ErrorNotice({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  const request = useSyncExternalStore(neverChanges, numberOfPage, () => "");
  // What failed on the server has a number of its own there; the page's is in the log as well.
  const number = [error.digest, request].filter(Boolean).join(" · ");
  return (
    <Notice
      title="This page cannot be shown at present."
      action={
        <button type="button" className="btn btn-primary" onClick={reset}>
          Try again
        </button>
      }
    >
      <p>
        The server or its database did not answer. Nothing has been lost: changes that were not saved yet are kept in
        this browser.
      </p>
      {number && <p className="num text-[13px] text-ink2">Report number {number}</p>}
    </Notice>
  );
}
