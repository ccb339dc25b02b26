"use client";
import { useState } from "react";
import { useShares } from "./shares-store";

/** Lets somebody read one's results, or reads somebody's, by a code that is handed over; ended by either. */
export function SharePanel() {
  const { shares, code } = useShares();
  const { begin, claim, end } = useShares.getState();
  const [name, setName] = useState("");
  const [typed, setTyped] = useState("");
  return (
    <section className="mb-3 border-b border-rule pb-3 text-[14px]" aria-label="Sharing">
      <div className="flex flex-wrap items-end gap-x-8 gap-y-2">
        <form
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (name.trim() !== "") void begin(name.trim());
          }}
        >
          <label>
            <span className="mb-0.5 block text-sm text-ink2">Let an instructor read my results as</span>
            <input
              className="field"
              maxLength={40}
              value={name}
              onChange={(event) => setName(event.currentTarget.value)}
            />
          </label>
          <button type="submit" className="btn" disabled={name.trim() === ""}>
            Make a code
          </button>
        </form>
        <form
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void claim(typed).then((ok) => ok && setTyped(""));
          }}
        >
          <label>
            <span className="mb-0.5 block text-sm text-ink2">Code that I was given</span>
            <input
              className="field num"
              maxLength={20}
              value={typed}
              onChange={(event) => setTyped(event.currentTarget.value)}
            />
          </label>
          <button type="submit" className="btn" disabled={typed.trim() === ""}>
            Read
          </button>
        </form>
      </div>
      {code !== null && (
        <p className="mt-2" role="status">
          Hand over <strong className="num text-[17px]">{code}</strong>: shown once, good for seven days, for one
          reader.
        </p>
      )}
      <ul className="mt-2">
        {shares.map((share) => (
          <li key={share.id} className="flex items-center gap-3 py-0.5">
            <span>
              {share.mine
                ? `“${share.name}”: ${share.claimed ? "somebody reads your results" : "not claimed yet"}`
                : `You read the results of “${share.name}”`}
            </span>
            <button type="button" className="btn btn-quiet py-0" onClick={() => void end(share.id)}>
              End
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
