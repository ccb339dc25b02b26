"use client";
import { useState } from "react";
import { TextField } from "@/ui/kit/forms/TextField";
import { found, join } from "./school-store";

/** Founding a school, and joining one by its code. */
export function SchoolDoor({ onDone }: { onDone: () => void }) {
  const [name, setName] = useState("");
  const [founder, setFounder] = useState("");
  const [code, setCode] = useState("");
  const [as, setAs] = useState("");
  return (
    <div className="grid max-w-3xl gap-6 sm:grid-cols-2">
      <form
        className="panel grid content-start gap-2 p-4"
        aria-label="Found a school"
        onSubmit={(event) => {
          event.preventDefault();
          void found(name.trim(), founder.trim()).then(onDone);
        }}
      >
        <h2 className="font-bold">Found a school</h2>
        <p className="text-[14px] text-ink2">
          Aircraft, places and procedures in common; lessons; what students hand in, signed.
        </p>
        <TextField label="Its name" value={name} fault={null} onChange={(text) => setName(text.slice(0, 60))} />
        <TextField
          label="What you are called in it"
          value={founder}
          fault={null}
          onChange={(text) => setFounder(text.slice(0, 40))}
        />
        <button type="submit" className="btn justify-self-start" disabled={name.trim() === "" || founder.trim() === ""}>
          Found it
        </button>
      </form>
      <form
        className="panel grid content-start gap-2 p-4"
        aria-label="Join a school"
        onSubmit={(event) => {
          event.preventDefault();
          void join(code.trim(), as.trim()).then((done) => done && onDone());
        }}
      >
        <h2 className="font-bold">Join a school</h2>
        <p className="text-[14px] text-ink2">
          Your instructor has a code. Who teaches there sees what you hand in, nothing else of yours, and nothing any
          more once you leave.
        </p>
        <TextField
          label="Code of the school"
          value={code}
          fault={null}
          onChange={(text) => setCode(text.slice(0, 20))}
        />
        <TextField
          label="What you are called there"
          value={as}
          fault={null}
          onChange={(text) => setAs(text.slice(0, 40))}
        />
        <button type="submit" className="btn justify-self-start" disabled={code.trim() === "" || as.trim() === ""}>
          Join
        </button>
      </form>
    </div>
  );
}
