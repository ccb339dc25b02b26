"use client";
import { type FormEvent, useEffect, useState } from "react";
import { Background } from "@/core/earth/background";
import { Panel } from "@/ui/kit/dialogs/Panel";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkText } from "@/ui/kit/forms/fault";
import { send } from "@/ui/kit/request";
import { chooseBackground, useBackground } from "@/ui/library/preferences";

const addressCheck = checkText(Background.shape.address);
const creditCheck = checkText(Background.shape.credit);
const NONE: Background = { address: "", opacity: 0.6, credit: "" };

/** A map of one's own under ours. */
export function BackgroundDialog() {
  const shown = useDialogs((state) => state.shown === "background");
  return (
    <Panel name="background" title="Background of the maps">
      {shown && <BackgroundForm />}
    </Panel>
  );
}

function BackgroundForm() {
  const background = useBackground((state) => state.background);
  const show = useDialogs((state) => state.show);
  const [{ address, opacity, credit }, setTyped] = useState(background ?? NONE);
  const [refused, setRefused] = useState<string | null>(null);
  const [origins, setOrigins] = useState<readonly string[] | null>(null);
  useEffect(() => {
    void send<{ backgroundOrigins: string[] }>("GET", "/api/preferences").then(
      (answer) => answer.ok && setOrigins(answer.value.backgroundOrigins),
    );
  }, []);
  const type = (typed: Partial<Background>) => {
    setRefused(null);
    setTyped((before) => ({ ...before, ...typed }));
  };
  const take = async (next: Background | null) => {
    const answer = await chooseBackground(next);
    if (answer.ok) show(null);
    else setRefused(answer.issues[0]?.message ?? "The server does not take it.");
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const parsed = Background.safeParse({ address, opacity, credit });
    if (parsed.success) void take(parsed.data);
    else setRefused(parsed.error.issues[0].message);
  };
  return (
    <form className="space-y-3" onSubmit={submit}>
      <p className="text-sm">
        Tiles of a map of your own, laid over the relief. They are fetched by this browser from where you say, and only
        then; who hands them out sees what you look at. No figure comes from them.
      </p>
      <TextField
        label="Address, with {z}, {x} and {y}"
        value={address}
        fault={address === "" ? null : addressCheck(address)}
        onChange={(address) => type({ address })}
      />
      {origins && (
        <p className="text-sm text-ink2">
          {origins.length > 0
            ? `This server lets it come from ${origins.join(", ")}.`
            : "This server lets none come from outside: BACKGROUND_ORIGINS is not set on it."}
        </p>
      )}
      <TextField
        label="Whose map it is (shown on it)"
        value={credit}
        fault={creditCheck(credit)}
        onChange={(credit) => type({ credit })}
      />
      <SliderField
        label="Strength over the relief"
        value={opacity}
        min={0.1}
        max={1}
        step={0.05}
        shown={`${Math.round(opacity * 100)} %`}
        onChange={(opacity) => type({ opacity })}
      />
      {refused && (
        <p role="alert" className="text-brick">
          {refused}
        </p>
      )}
      <div className="flex gap-2">
        <button type="submit" className="btn">
          Use it
        </button>
        {background && (
          <button type="button" className="btn btn-quiet" onClick={() => void take(null)}>
            No background
          </button>
        )}
      </div>
    </form>
  );
}
