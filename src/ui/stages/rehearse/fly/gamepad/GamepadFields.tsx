"use client";
import { useEffect } from "react";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { PAD_ACTIONS, PAD_AXES, type PadAction, type PadAxis, type PadUse, calibrated, padHand } from "./pad-settings";
import { usePadNow } from "./pad-now";
import { connectedPad, padSettings, usePads } from "./pad-store";

const AXIS_WORDS: Readonly<Record<PadUse, string>> = { bank: "Bank", nose: "Nose", feet: "Feet", power: "Power" };
const ACTION_WORDS: Readonly<Record<PadAction, string>> = {
  pause: "Pause",
  back: "10 s back",
  look: "Look",
  brakes: "Brakes",
  gear: "Gear",
  "flap out": "Flap out",
  "flap in": "Flap in",
};
const NONE = "none";

/** The gamepad that is connected is looked at all the time. */
function useLooking(): void {
  useEffect(() => {
    void usePads.persist.rehydrate();
    let frame = 0;
    const look = () => {
      frame = requestAnimationFrame(look);
      usePadNow.getState().see(connectedPad());
    };
    frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, []);
}

/** What the axes and buttons of a gamepad do, and its travel measured; nothing where none is connected. */
export function GamepadFields() {
  useLooking();
  const { pad, travel, asked, measure, ask } = usePadNow();
  const pads = usePads((state) => state.pads);
  const { put } = usePads.getState();
  if (!pad) return null;
  const settings = padSettings(pads, pad.id);
  const hand = padHand(settings, pad.axes);
  const shown: Readonly<Record<PadUse, number>> = {
    bank: hand.right,
    nose: hand.back,
    feet: hand.foot ?? 0,
    power: hand.power === null ? 0 : 2 * hand.power - 1,
  };
  const change = (use: PadUse, axis: PadAxis | null) =>
    put(pad.id, { ...settings, axes: { ...settings.axes, [use]: axis } });
  return (
    <fieldset className="grid max-w-3xl gap-2">
      <legend className="text-sm text-ink2">Gamepad: {pad.id}</legend>
      <div className="grid grid-cols-2 gap-x-6 gap-y-2">
        {PAD_AXES.map((use) => {
          const axis = settings.axes[use];
          return (
            <div key={use} className="flex items-end gap-4">
              <ChoiceField
                label={AXIS_WORDS[use]}
                value={axis ? String(axis.axis) : NONE}
                onChange={(value) =>
                  change(
                    use,
                    value === NONE
                      ? null
                      : { reversed: false, low: -1, rest: 0, high: 1, ...axis, axis: Number(value) },
                  )
                }
                choices={[
                  { value: NONE, label: "none" },
                  ...pad.axes.map((_, i) => ({ value: String(i), label: `axis ${i + 1}` })),
                ]}
              />
              <CheckField
                label="reversed"
                checked={axis?.reversed ?? false}
                onChange={(reversed) => axis && change(use, { ...axis, reversed })}
              />
              <Now name={`${AXIS_WORDS[use]} now`} share={shown[use]} />
            </div>
          );
        })}
      </div>
      <p className="flex items-center gap-3">
        {travel === null ? (
          <button type="button" className="btn" onClick={() => measure(true)}>
            Measure its travel
          </button>
        ) : (
          <>
            <button
              type="button"
              className="btn btn-primary"
              onClick={() => {
                put(pad.id, calibrated(settings, travel));
                measure(false);
              }}
            >
              Done
            </button>
            <span role="status">Move every axis to both of its ends, then let go.</span>
          </>
        )}
      </p>
      <p className="flex flex-wrap gap-2">
        {PAD_ACTIONS.map((action) => (
          <button
            key={action}
            type="button"
            className="btn btn-quiet py-0.5"
            aria-pressed={asked === action}
            onClick={() => ask(asked === action ? null : action)}
          >
            {ACTION_WORDS[action]}:{" "}
            {asked === action
              ? "press a button"
              : settings.buttons[action] === null
                ? "no button"
                : `button ${settings.buttons[action] + 1}`}
          </button>
        ))}
      </p>
    </fieldset>
  );
}

/** Where an axis stands, −1…1, on a rule of its own. */
function Now({ name, share }: { name: string; share: number }) {
  return (
    <span
      className="relative mb-2.5 h-3 w-24 border border-ink2"
      role="meter"
      aria-label={name}
      aria-valuemin={-1}
      aria-valuemax={1}
      aria-valuenow={Number(share.toFixed(2))}
    >
      <span className="absolute inset-y-0 left-1/2 w-px bg-ink2" />
      <span className="absolute inset-y-0 w-1 -translate-x-1/2 bg-harbour" style={{ left: `${50 + 50 * share}%` }} />
    </span>
  );
}
