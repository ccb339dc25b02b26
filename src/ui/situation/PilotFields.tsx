"use client";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { IN_PRACTICE_DAYS, plannedReaction_s, practiceFactor } from "@/core/situation/pilot-practice";
import { type OwnFigures, Pilot } from "@/core/situation/situation-document";
import { AngleField } from "@/ui/kit/forms/AngleField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { checkBy } from "@/ui/kit/forms/fault";
import { dayInWords } from "@/ui/kit/units/day-in-words";
import { useSituation } from "./situation-store";

const reactionCheck = checkBy(Pilot.shape.reaction_s);
const bankCheck = checkBy(Pilot.shape.bank_rad);
const marginCheck = checkBy(Pilot.shape.stallMargin);
const daysCheck = checkBy(Pilot.shape.daysSincePractised);

/** One that is typed in is not the measured one any more. */
function without(own: Pilot["own"], figure: "reaction_s" | "bank_rad"): Pilot["own"] {
  const left = own && { ...own, [figure]: null };
  return left && (left.reaction_s || left.bank_rad) ? left : null;
}

/** "Your own, measured: reaction ±1.4 s from 7, bank from 1; the last on 24 Nov 2026." */
function ownWords({ reaction_s, bank_rad, last }: OwnFigures): string {
  const from = (name: string, own: { readonly count: number } | null, spread: string) =>
    own && `${name}${own.count > 1 ? ` ±${spread}` : ""} from ${own.count}`;
  const parts = [
    from("reaction", reaction_s, `${formatNumber(reaction_s?.spread ?? 0, 1)} s`),
    from("bank", bank_rad, `${formatNumber(degrees(bank_rad?.spread ?? 0))}°`),
  ].filter(Boolean);
  return `Your own, measured: ${parts.join(", ")}${last ? `; the last on ${dayInWords(Date.parse(last))}` : ""}. Departure’s chance scatters so, with what is usual counted as three more.`;
}

/** What the pilot can do and has practised. */
export function PilotFields() {
  const pilot = useSituation((state) => state.current.pilot);
  const change = useSituation((state) => state.change);
  const factor = practiceFactor(pilot.daysSincePractised);
  const set = (patch: Partial<Pilot>) => change((current) => ({ pilot: { ...current.pilot, ...patch } }));
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Reaction"
          value={pilot.reaction_s}
          unit="s"
          digits={pilot.reaction_s % 1 ? 1 : 0}
          step={1}
          autoFocus
          check={reactionCheck}
          onChange={(reaction_s) => set({ reaction_s, own: without(pilot.own, "reaction_s") })}
        />
        <AngleField
          label="Bank in turns"
          value={pilot.bank_rad}
          check={bankCheck}
          onChange={(bank_rad) => set({ bank_rad, own: without(pilot.own, "bank_rad") })}
        />
        <NumberField
          label="Stall margin in turns"
          value={pilot.stallMargin}
          unit="× V_S"
          digits={2}
          step={0.05}
          check={marginCheck}
          onChange={(stallMargin) => set({ stallMargin })}
        />
        <NumberField
          label="Days since practised"
          value={pilot.daysSincePractised}
          unit="d"
          digits={0}
          step={1}
          check={daysCheck}
          onChange={(daysSincePractised) => set({ daysSincePractised })}
        />
      </div>
      {pilot.own && (
        <p className="text-sm">
          {ownWords(pilot.own)}{" "}
          <button type="button" className="btn btn-quiet px-2 py-0" onClick={() => set({ own: null })}>
            Scatter as usual
          </button>
        </p>
      )}
      <p className={factor > 1 ? "text-sm text-ochre" : "text-sm text-ink2"}>
        {factor > 1
          ? `Not practised for ${pilot.daysSincePractised} days: reaction ${formatNumber(plannedReaction_s(pilot), 1)} s is planned with, and bank, speed and delay scatter ${formatNumber(factor, 2)} times as much.`
          : `In practice up to ${IN_PRACTICE_DAYS} days.`}{" "}
        Each doubling beyond {IN_PRACTICE_DAYS} days adds a tenth, half at the most: a rule of ours, until flights
        measure it.
      </p>
      <p className="text-sm text-ink2">
        The reaction is flown straight on at the glide’s sink. Bank no steeper than you have practised: a low steep turn
        ends in a stall when the margin goes.
      </p>
    </>
  );
}
