"use client";
import { useRouter } from "next/navigation";
import { type FormEvent, useId, useState } from "react";
import type { Issue } from "@/core/outcome";
import { send } from "@/ui/kit/request";
import { Mark } from "@/ui/kit/page/Mark";

/** Way in: the demo with one key, or an account. */
export function Welcome() {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [issues, setIssues] = useState<readonly Issue[]>([]);

  const enter = async (url: string, body?: unknown) => {
    setBusy(true);
    setIssues([]);
    const answer = await send("POST", url, body);
    if (answer.ok) {
      router.push("/landing");
      router.refresh();
      return;
    }
    setIssues(answer.issues);
    setBusy(false);
  };

  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const creating = (event.nativeEvent as SubmitEvent).submitter?.getAttribute("value") === "create";
    void enter(creating ? "/api/accounts" : "/api/session", {
      email: form.get("email"),
      password: form.get("password"),
    });
  };

  const general = issues.filter((issue) => issue.path !== "email" && issue.path !== "password");
  return (
    <main className="mx-auto grid min-h-full max-w-5xl content-center gap-x-16 gap-y-8 px-8 py-10 md:grid-cols-[1.25fr_1fr]">
      <div className="flex flex-col gap-5">
        <Mark />
        <h1 className="text-[30px] leading-tight font-bold">
          The engine has stopped. What can you reach, and what does it cost in height?
        </h1>
        <p className="max-w-prose">
          Utrimax plans, rehearses and debriefs engine failures: the glide in today’s wind, the turn, the path to every
          runway, and an account of the height it all takes. Every figure shows its working.
        </p>
        <div>
          <button
            type="button"
            className="btn btn-primary px-5 py-2 text-lg"
            disabled={busy}
            onClick={() => void enter("/api/demo")}
            autoFocus
          >
            Open the demo
          </button>
          <p className="mt-2 text-ink2">
            Alder S1, engine stopped near Skerrow on the invented Tarn Reach islands. Nothing to fill in.
          </p>
        </div>
        {general.map((issue) => (
          <p key={issue.code} role="alert" className="font-semibold text-brick">
            {issue.message}
          </p>
        ))}
        <p className="max-w-prose border-t border-rule pt-4 text-ink2">
          <strong className="text-ink">A planning, training and debriefing aid.</strong> It is not a certified
          instrument and never the only source for a decision in flight. The approved flight manual, local rules and a
          qualified instructor come first.
        </p>
      </div>
      <form className="panel flex flex-col gap-3 self-center p-6" onSubmit={submit} noValidate>
        <h2 className="text-lg font-bold">Your own account</h2>
        <Field
          name="email"
          label="E-mail"
          type="email"
          autoComplete="email"
          issue={issues.find((issue) => issue.path === "email")}
        />
        <Field
          name="password"
          label="Password"
          type="password"
          autoComplete="current-password"
          issue={issues.find((issue) => issue.path === "password")}
        />
        <div className="mt-1 flex gap-3">
          <button type="submit" className="btn" disabled={busy} value="sign-in">
            Sign in
          </button>
          <button type="submit" className="btn btn-quiet" disabled={busy} value="create">
            Create account
          </button>
        </div>
        <p className="text-sm text-ink2">
          Aircraft, places and situations you add are yours alone. Everything can be exported as one file.
        </p>
      </form>
    </main>
  );
}

function Field({
  label,
  issue,
  ...input
}: {
  label: string;
  name: string;
  type: string;
  autoComplete: string;
  issue?: Issue;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      <input
        id={id}
        className="field py-1.5"
        aria-invalid={issue ? true : undefined}
        aria-describedby={issue ? `${id}-fault` : undefined}
        {...input}
      />
      {issue && (
        <p id={`${id}-fault`} role="alert" className="mt-1 text-sm text-brick">
          {issue.message}
        </p>
      )}
    </div>
  );
}
