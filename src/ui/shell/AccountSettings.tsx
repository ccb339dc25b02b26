"use client";
import { type FormEvent, useEffect, useState } from "react";
import { toast } from "sonner";
import type { Issue } from "@/core/outcome";
import type { ListedSession } from "@/server/sessions";
import { forgetAllKept } from "@/ui/kit/kept";
import { type Answer, send } from "@/ui/kit/request";
import { useWorkspace } from "@/ui/library/workspace";

/** Password, address, where one is signed in, and the end of the account. */
export function AccountSettings() {
  const { kind } = useWorkspace().account;
  return (
    <section className="mt-5 flex flex-col gap-1 border-t border-rule pt-4" aria-label="Account settings">
      {kind === "user" && (
        <>
          <PasswordForm />
          <EmailForm />
          <Sessions />
        </>
      )}
      <DeleteForm needsPassword={kind === "user"} />
    </section>
  );
}

function PasswordForm() {
  return (
    <SettingForm
      title="Change the password"
      submit="Change the password"
      fields={[
        { name: "current", label: "Present password", type: "password", autoComplete: "current-password" },
        { name: "password", label: "New password", type: "password", autoComplete: "new-password" },
      ]}
      hint="At least 10 characters; a few words in a row are good. Other browsers are signed out."
      send={(values) => send("PUT", "/api/account/password", values)}
      done={() => toast("The password is changed. Every other browser is signed out.")}
    />
  );
}

function EmailForm() {
  return (
    <SettingForm
      title="Change the e-mail address"
      submit="Change the address"
      fields={[
        { name: "email", label: "New e-mail address", type: "email", autoComplete: "email" },
        { name: "password", label: "Password", type: "password", autoComplete: "current-password" },
      ]}
      send={(values) => send("PUT", "/api/account/email", values)}
      done={({ email }) => toast(`From now on you sign in as ${email}.`)}
    />
  );
}

function DeleteForm({ needsPassword }: { needsPassword: boolean }) {
  return (
    <SettingForm
      title="Delete the account"
      submit="Delete everything"
      danger
      fields={
        needsPassword
          ? [{ name: "password", label: "Password", type: "password", autoComplete: "current-password" }]
          : []
      }
      hint="Situations, aircraft, places and terrain go with it, and nothing brings them back. Export everything first."
      send={(values) => send("DELETE", "/api/account", { password: "", ...values })}
      done={() => {
        forgetAllKept();
        // A whole new page: nothing of this account stays in memory.
        location.reload();
      }}
    />
  );
}

interface SettingField {
  readonly name: string;
  readonly label: string;
  readonly type: "password" | "email";
  readonly autoComplete: string;
}

/** A setting that is asked for before it is changed: closed until it is wanted. */
function SettingForm({
  title,
  submit,
  fields,
  hint,
  danger = false,
  send: sendValues,
  done,
}: {
  title: string;
  submit: string;
  fields: readonly SettingField[];
  hint?: string;
  danger?: boolean;
  send: (values: Record<string, string>) => Promise<Answer<unknown>>;
  done: (values: Record<string, string>) => void;
}) {
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const give = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const values = Object.fromEntries(
      [...new FormData(event.currentTarget)].map(([name, value]) => [name, String(value)]),
    );
    setBusy(true);
    const answer = await sendValues(values);
    setBusy(false);
    setIssues(answer.ok ? [] : answer.issues);
    if (!answer.ok) return;
    setOpen(false);
    done(values);
  };
  const known = new Set(fields.map(({ name }) => name));
  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)} className="border-b border-rule">
      <summary className="cursor-pointer py-1.5">{title}</summary>
      <form className="flex max-w-sm flex-col gap-2 pt-1.5 pb-3" onSubmit={(event) => void give(event)} noValidate>
        {fields.map(({ name, label, type, autoComplete }) => {
          const fault = issues.find(({ path }) => path === name)?.message;
          return (
            <label key={name} className="block">
              <span className="mb-0.5 block text-sm text-ink2">{label}</span>
              <input
                className="field"
                name={name}
                type={type}
                autoComplete={autoComplete}
                maxLength={254}
                aria-invalid={fault ? true : undefined}
              />
              {fault && (
                <span role="alert" className="text-sm text-brick">
                  {fault}
                </span>
              )}
            </label>
          );
        })}
        {hint && <p className="text-[13px] text-ink2">{hint}</p>}
        {issues
          .filter(({ path }) => !known.has(path))
          .map(({ code, message }) => (
            <p key={code} role="alert" className="text-sm text-brick">
              {message}
            </p>
          ))}
        <button type="submit" className={`btn self-start ${danger ? "text-brick" : ""}`} disabled={busy}>
          {busy ? "Sending …" : submit}
        </button>
      </form>
    </details>
  );
}

/** Where the account is signed in, and the way to end it elsewhere. */
function Sessions() {
  const [open, setOpen] = useState(false);
  const [sessions, setSessions] = useState<readonly ListedSession[] | null>(null);
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    if (!open) return;
    void send<{ sessions: ListedSession[] }>("GET", "/api/account/sessions").then((answer) => {
      if (answer.ok) setSessions(answer.value.sessions);
      else toast(answer.issues.map((issue) => issue.message).join(" "));
    });
  }, [open, asked]);
  const end = async (path: string) => {
    const answer = await send("DELETE", path);
    if (!answer.ok) toast(answer.issues.map((issue) => issue.message).join(" "));
    setAsked((count) => count + 1);
  };
  const others = sessions?.some((session) => !session.current) ?? false;
  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)} className="border-b border-rule">
      <summary className="cursor-pointer py-1.5">Where you are signed in</summary>
      <ul className="pb-3" aria-busy={sessions === null}>
        {sessions === null && <li className="text-ink2">Fetching …</li>}
        {sessions?.map((session) => (
          <li key={session.id} className="flex items-center gap-3 border-t border-rule py-1">
            <span className="min-w-0 flex-1">
              {browserOf(session.agent)}
              {session.current && <strong> · this one</strong>}
              <span className="num block text-[13px] text-ink2">
                used {minuteOf(session.seenAt)}, since {minuteOf(session.createdAt)}
              </span>
            </span>
            {!session.current && (
              <button
                type="button"
                className="btn btn-quiet shrink-0"
                aria-label={`Sign out ${browserOf(session.agent)}, used ${minuteOf(session.seenAt)}`}
                onClick={() => void end(`/api/account/sessions/${session.id}`)}
              >
                Sign out
              </button>
            )}
          </li>
        ))}
        {others && (
          <li className="pt-2">
            <button type="button" className="btn btn-quiet" onClick={() => void end("/api/account/sessions")}>
              Sign out everywhere else
            </button>
          </li>
        )}
      </ul>
    </details>
  );
}

const minuteOf = (time: string) => `${time.slice(0, 16).replace("T", " ")} UTC`;

/** The system that a browser says it runs on: enough to tell a tablet from a desk. */
function browserOf(agent: string): string {
  const [system] = /\(([^)]*)\)/.exec(agent)?.slice(1) ?? [];
  return system ? `Browser on ${system.split(";")[0].replace(/^X11$/, "a desktop")}` : "A program";
}
