"use client";
import { Trash2 } from "lucide-react";
import type { LogbookEntry } from "@/core/logbook/logbook-entry";
import type { OwnDocument } from "@/server/own-documents";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { useFormat } from "@/ui/kit/units/units-store";
import { openKept } from "../debrief-store";
import { entryParts, entrySub } from "./entry-lines";
import { attach, detach, useEntries, useLogbook } from "./logbook-store";

/** An entry to be read, with its files and where it came from. */
export function EntryRead({ entry }: { entry: OwnDocument<LogbookEntry> }) {
  const format = useFormat();
  const attachments = useLogbook((state) => state.attachments).filter(({ entryId }) => entryId === entry.id);
  const { document } = entry;
  return (
    <article className="max-w-3xl" aria-label={document.name}>
      <p className="flex gap-2 pb-2">
        <button type="button" className="btn btn-quiet" onClick={() => useLogbook.setState({ read: null })}>
          All entries
        </button>
        <button type="button" className="btn" onClick={() => useEntries.getState().edit(document, entry)}>
          Edit
        </button>
      </p>
      <h2 className="text-[20px] font-bold">{document.name}</h2>
      <p className="text-ink2">{entrySub(document)}</p>
      {entryParts(document, format).map(({ head, lines }) => (
        <section key={head} className="mt-2" aria-label={head}>
          <h3 className="font-bold">{head}</h3>
          <dl className="grid grid-cols-[120px_minmax(0,1fr)] gap-x-3">
            {lines.map(({ before, words }, i) => (
              <div key={i} className="col-span-2 grid grid-cols-subgrid">
                <dt className={before === "" ? "sr-only" : "text-ink2"}>{before === "" ? head : before}</dt>
                <dd className={`whitespace-pre-wrap ${before === "" ? "col-span-2" : ""}`}>{words}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
      {document.sources.length > 0 && (
        <section className="mt-2" aria-label="Came from">
          <h3 className="font-bold">Came from</h3>
          <ul>
            {document.sources.map(({ kind, id, name }) => (
              <li key={id}>
                {name}{" "}
                {kind === "log" && (
                  <button type="button" className="btn btn-quiet py-0" onClick={() => void openKept(id)}>
                    Open the log
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section className="mt-3 border-t border-rule pt-2" aria-label="Files">
        <h3 className="font-bold">Files</h3>
        <ul>
          {attachments.map(({ id, name, bytes }) => (
            <li key={id} className="flex items-center gap-2">
              <a className="underline underline-offset-4" href={`/api/attachments/${id}`} download={name}>
                {name}
              </a>
              <span className="num text-[13px] text-ink2">{Math.max(Math.round(bytes / 1024), 1)} kB</span>
              <button
                type="button"
                className="rounded p-1 hover:bg-mark"
                aria-label={`Take ${name} away`}
                onClick={() => void detach(id)}
              >
                <Trash2 size={14} aria-hidden="true" />
              </button>
            </li>
          ))}
        </ul>
        <FileButton
          label="Add a file"
          fileLabel="File of the entry"
          accept=".pdf,.png,.jpg,.jpeg,.txt,.csv"
          onChoose={(file) => void attach(entry.id, file)}
        />
      </section>
    </article>
  );
}
