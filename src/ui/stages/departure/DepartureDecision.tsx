"use client";
import type { TurnbackAccount } from "@/core/departure/turnback-account";
import { workingOfTurnback } from "@/ui/answers/workings";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { formatMargin } from "@/ui/kit/units/margin";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { useAirspeed } from "@/ui/situation/useAirspeed";
import { gateDecision } from "@/ui/answers/departure-words";
import { currentChance, sideOf, turnsBack, useDeparture, type DepartureScan } from "@/ui/answers/departure-store";
import { SpotAhead } from "./SpotAhead";
import { STANDING_TONE, nearestAhead, optionsAt, standingOf } from "./options";

/** What to do at this height in a sentence, and the figures of the way that is looked at. */
export function DepartureDecision() {
  const lookedAt = useDeparture((state) => state.at);
  const choice = useDeparture((state) => state.choice);
  const scan = useDeparture((state) => state.scan);
  const gates = useDeparture((state) => currentChance(state)?.gates ?? null);
  const computing = useDeparture((state) => state.progress !== null);
  const airspeed = useAirspeed();
  const format = useFormat();
  if (!lookedAt || !scan) return null;
  const { account } = lookedAt;
  const said = gateDecision({ plan: scan.question.plan, bands: scan.bands, gates, computing }, format);
  const source = workingOfTurnback(lookedAt.height_m, sideOf(choice));
  return (
    <section className="flex flex-col gap-2 border-t border-rule px-4 py-3" aria-label="Decision">
      <p className="border-b border-rule pb-2">
        <strong className="block text-[22px] leading-7">{said.lead}</strong>{" "}
        <span className="text-[14px] text-ink2">{said.rest}</span>
      </p>
      {scan.question.plan.school === "spot-ahead" && <SpotAhead runway={scan.question.runway} />}
      <Sentence gate_m={gates ? gates.gate_m : undefined} />
      {turnsBack(choice) && account && account.leastStallMargin < account.technique.stallMargin - 0.005 && (
        <p className="text-[13px] text-ochre">
          To catch the runway’s line it is pulled to {formatNumber(account.leastStallMargin, 2)} times the stall, under
          the {formatNumber(account.technique.stallMargin, 2)} planned for the turn.
        </p>
      )}
      {turnsBack(choice) && account && (
        <dl className="grid grid-cols-[1fr_auto] gap-y-0.5 text-[14px] max-[1150px]:text-[13px] [&>dd]:text-right [&>dt]:text-ink2">
          <dt>Turn {account.technique.side === -1 ? "left" : "right"}</dt>
          <dd>
            <Figure title="The turn" figure="turn" source={source}>
              {Math.round(degrees(account.technique.bank_rad))}° ·{" "}
              {airspeed(
                (account.technique.stallMargin * scan.facts.stallEas_mps) /
                  Math.sqrt(Math.cos(account.technique.bank_rad)),
              )}
            </Figure>
          </dd>
          <dt>Sink in the turn</dt>
          <dd>
            <Figure title="Sink in the turn" figure="turn" source={source}>
              {format("verticalSpeed", account.sinkInTurn_mps)}
            </Figure>
          </dd>
          <dt>Heading change</dt>
          <dd>
            <Figure title="Heading change" figure="turn" source={source}>
              {Math.round(degrees(account.headingChange_rad))}°
            </Figure>
          </dd>
          <dt>Stall margin, planned and least</dt>
          <dd>
            <Figure
              title="Margin over the stall"
              figure="turn"
              source={source}
              className={
                account.leastStallMargin < 1.05
                  ? "text-brick"
                  : account.leastStallMargin < account.technique.stallMargin - 0.005
                    ? "text-ochre"
                    : ""
              }
            >
              {formatNumber(account.technique.stallMargin, 2)}× · {formatNumber(account.leastStallMargin, 2)}×
            </Figure>
          </dd>
          <dt>Load, of the bank and greatest</dt>
          <dd>
            <Figure title="Load" figure="turn" source={source}>
              {formatNumber(1 / Math.cos(account.technique.bank_rad), 1)} g · {formatNumber(account.greatestLoad, 1)} g
            </Figure>
          </dd>
          <dt>Tailwind, ground</dt>
          <dd>
            <Figure title="Landing back" figure="stop" source={source}>
              {format("speed", account.result.roll.tailwind_mps)} ·{" "}
              {format("speed", account.result.roll.touchdownGroundSpeed_mps)}
            </Figure>
          </dd>
          <dt>Roll, left over</dt>
          <dd>
            <Figure
              title="Landing back"
              figure="stop"
              source={source}
              className={account.result.spare_m !== null && account.result.spare_m < 0 ? "text-brick" : ""}
            >
              {format("length", account.result.roll.roll_m)} ·{" "}
              {account.result.spare_m === null ? "–" : format("length", account.result.spare_m)}
            </Figure>
          </dd>
        </dl>
      )}
    </section>
  );
}

function Sentence({ gate_m }: { gate_m: number | null | undefined }) {
  const lookedAt = useDeparture((state) => state.at);
  const choice = useDeparture((state) => state.choice);
  const scan = useDeparture((state) => state.scan);
  if (!lookedAt || !scan) return null;
  if (!turnsBack(choice)) return <OptionSentence scan={scan} height_m={lookedAt.height_m} choice={choice} />;
  if (lookedAt.stalledAfter_s !== null)
    return (
      <p role="alert" className="text-brick">
        <strong>It stalls.</strong> Holding the attitude, the wing stalls {lookedAt.stalledAfter_s.toFixed(1)} s after
        the engine stops. There is nothing to turn back from: push sooner.
      </p>
    );
  if (!lookedAt.account) return null;
  if (lookedAt.account.score_m < 0) return <NoTurningBack account={lookedAt.account} />;
  return <TurnBack account={lookedAt.account} gate_m={gate_m} height_m={lookedAt.height_m} />;
}

function TurnBack({
  account,
  gate_m,
  height_m,
}: {
  account: TurnbackAccount;
  gate_m: number | null | undefined;
  height_m: number;
}) {
  const format = useFormat();
  const below = typeof gate_m === "number" && height_m < gate_m;
  const lead =
    gate_m === null
      ? "It would work without error."
      : below
        ? "It would work without error, below the gate."
        : "Turn back.";
  const gate =
    gate_m === null
      ? " It does not succeed often enough at any height: ahead."
      : below
        ? ` The gate is ${format("height", gate_m, "up")}: ahead.`
        : "";
  return (
    <p>
      <strong>{lead}</strong>{" "}
      {`${formatMargin(account.result.margin_m, format)} of height and ${format("length", account.result.spare_m ?? 0, "down")} of runway in hand, flown as planned.${gate}`}
    </p>
  );
}

function NoTurningBack({ account: { limit, result } }: { account: TurnbackAccount }) {
  const format = useFormat();
  return (
    <p className="text-brick">
      <strong>No turning back.</strong>{" "}
      {limit === "stopping"
        ? `It reaches the runway and cannot stop on it: ${format("length", -(result.spare_m ?? 0), "up")} too long.`
        : result.aligned
          ? `It comes ${format("height", -result.margin_m, "up")} too low.`
          : "It is not in line with the runway before the ground."}
    </p>
  );
}

function OptionSentence({ scan, height_m, choice }: { scan: DepartureScan; height_m: number; choice: string }) {
  const format = useFormat();
  const ahead = nearestAhead(scan, height_m);
  const option = ahead && optionsAt(scan, ahead).find((candidate) => candidate.id === choice);
  if (!option) return <p>This option does not come near at this height.</p>;
  const standing = standingOf(option.score_m);
  return (
    <p className={standing === "works" || standing === "not known" ? "" : STANDING_TONE[standing]}>
      <strong>
        {option.name}:{" "}
        {standing === "no" ? "does not work." : standing === "just" ? "just works, nothing in hand." : `${standing}.`}
      </strong>{" "}
      {[
        option.margin_m !== null && `height ${formatMargin(option.margin_m, format)}`,
        option.spare_m !== null &&
          (option.spare_m >= 0
            ? `${format("length", option.spare_m)} left after stopping`
            : `${format("length", -option.spare_m)} too short`),
        option.note,
      ]
        .filter(Boolean)
        .join("; ")}
    </p>
  );
}
