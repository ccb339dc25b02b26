"use client";
import { Notice } from "./Notice";

/** What is shown when a page cannot be made; most often the database is away. */
export function ErrorNotice({ reset }: { error: Error; reset: () => void }) {
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
    </Notice>
  );
}
