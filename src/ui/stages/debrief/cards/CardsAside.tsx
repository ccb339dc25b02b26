"use client";
import { useEffect, useState } from "react";
import { success } from "@/core/outcome";
import { formatNumber } from "@/core/quantities/units";
import { type SeriesResult, seriesVerdict } from "@/core/series/series-result";
import { scaledAircraft } from "@/core/series/scaled-aircraft";
import { seriesWorking } from "@/core/series/series-working";
import type { TestCard } from "@/core/series/test-card";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { NEW_ID } from "@/ui/library/aircraft-drafts";
import { useAircraftActions } from "@/ui/situation/useAircraftActions";
import { offerCard } from "@/ui/kit/print/card-store";
import { dayWords } from "../debrief-words";
import { RunPanel } from "./RunPanel";
import { printTestCard } from "./print-test-card";
import { useCardLook, useCards } from "./cards-store";
import { amountWords, flownAtBriefed, valueWords, verdictWords } from "./series-words";
import { useSeries } from "./useSeries";

const CAUTIONS = [
  "Practise at height, with an instructor, never low. The flight manual and local rules come first.",
  "A few runs of one day and one pilot are not yet a law.",
];

/** What a card's runs come to. */
export function CardsAside() {
  const card = useCards((state) => state.draft);
  const run = useCardLook((state) => state.run);
  const result = useSeries(card);
  const format = useFormat();
  useEffect(() => {
    offerCard(card ? () => void printTestCard(card, format) : null);
    return () => offerCard(null);
  }, [card, format]);
  if (!card)
    return (
      <DecisionAside
        said={{
          lead: "No test card yet.",
          rest: "A card plans a series of runs, is flown, and lays each beside its prediction.",
        }}
        good
        cautions={CAUTIONS}
      />
    );
  if (!result?.ok)
    return (
      <DecisionAside
        said={{ lead: "It cannot be predicted.", rest: result?.issue.message ?? "" }}
        good={false}
        cautions={CAUTIONS}
      />
    );
  const verdict = seriesVerdict(result.value);
  const counted = result.value.aircraft?.count ?? 0;
  const words = verdictWords(verdict, counted);
  const looked = result.value.rows.find((row) => row.run.id === run);
  return (
    <DecisionAside said={words} good={words.good} cautions={CAUTIONS}>
      <Summary card={card} result={result.value} />
      {looked && <RunPanel key={looked.run.id} card={card} row={looked} />}
      <CardBox card={card} />
      {(verdict.says === "too good" || verdict.says === "too poor") && <Refit card={card} result={result.value} />}
      <div className="px-4 pb-3">
        <button type="button" className="btn btn-quiet" onClick={() => void printTestCard(card, format)}>
          Print the card
        </button>
      </div>
    </DecisionAside>
  );
}

function Summary({ card, result }: { card: TestCard; result: SeriesResult }) {
  const format = useFormat();
  const { briefed, least, asBriefed, aircraft, bookRatio } = result;
  const source = { ask: async () => success(seriesWorking(card, result)) };
  const flown = flownAtBriefed(card, result, format);
  const at = valueWords(card.kind, format, card.briefed);
  return (
    <AsideFigures>
      <dt>Flown at {at}</dt>
      <dd>
        {flown === null ? (
          <span className="text-ink2">not yet</span>
        ) : (
          <Figure title={`Flown at ${at}`} figure="flown" source={source} className="text-[19px] font-bold">
            {flown}
          </Figure>
        )}
      </dd>
      <dt>Predicted by the book</dt>
      <dd>
        <Figure title={`Predicted at ${at}`} figure="briefed" source={source}>
          {amountWords(card.kind, format, briefed.predicted)}
        </Figure>
      </dd>
      {card.kind === "half-turn" && (
        <>
          <dt>Time of it, predicted</dt>
          <dd className="num">{formatNumber(briefed.time_s)} s</dd>
        </>
      )}
      {least && (
        <>
          <dt>Least height</dt>
          <dd className="num">at {valueWords(card.kind, format, least.value)}</dd>
        </>
      )}
      {aircraft && (
        <>
          <dt>Best glide from it</dt>
          <dd>
            <Figure title="Best glide as flown" figure="aircraft" source={source}>
              {formatNumber(bookRatio / aircraft.mean, 1)}:1
            </Figure>
          </dd>
        </>
      )}
      {asBriefed && asBriefed.runBound !== null && (
        <>
          <dt>19 of 20 runs lie within</dt>
          <dd className="num">±{amountWords(card.kind, format, asBriefed.runBound * briefed.predicted)}</dd>
        </>
      )}
      <dt>Runs counted</dt>
      <dd className="num">
        {asBriefed?.count ?? 0} of {card.runs.length}
      </dd>
    </AsideFigures>
  );
}

/** The card as it is briefed. */
function CardBox({ card }: { card: TestCard }) {
  const format = useFormat();
  const at = card.runs.flatMap(({ at_s }) => at_s ?? []).at(0) ?? null;
  return (
    <section className="mx-4 my-2 border border-ink px-3 py-2 text-[14px]" aria-label="The card">
      <h2 className="font-bold">{card.name}</h2>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 [&>dd]:text-right [&>dt]:text-ink2">
        <dt>Start</dt>
        <dd className="num">
          {format("height", card.start_m)}
          {card.kind === "half-turn" ? `, ${format("speed", card.speed_mps)}` : ""}
        </dd>
        <dt>Mass, air</dt>
        <dd className="num">
          {format("mass", card.mass_kg)}, ISA {card.deviation_K < 0 ? "−" : "+"}
          {formatNumber(Math.abs(card.deviation_K))}
        </dd>
        <dt>Marks</dt>
        <dd>{card.marks.join(" · ")}</dd>
        {at !== null && (
          <>
            <dt>Flown</dt>
            <dd className="num">{dayWords(at)}</dd>
          </>
        )}
      </dl>
      <p className="mt-1 border-t border-rule pt-1 font-bold">Broken off at {format("height", card.abort_m)}</p>
    </section>
  );
}

/** The book's polar with what was flown, in a copy; never silently. */
function Refit({ card, result }: { card: TestCard; result: SeriesResult }) {
  const { save } = useAircraftActions();
  const [fault, setFault] = useState<string | null>(null);
  const { aircraft, bookRatio } = result;
  if (!aircraft) return null;
  const ratio = formatNumber(bookRatio / aircraft.mean, 1);
  const take = async () => {
    const from = `Drag × ${formatNumber(aircraft.mean, 2)} from ${aircraft.count} runs of “${card.name}”.`;
    const copy = scaledAircraft(card, aircraft.mean, from);
    if (copy.ok) await save(NEW_ID, false, copy.value, 0);
    else setFault(copy.issue.message);
  };
  return (
    <div className="px-4 pb-2">
      {fault && <p className="pb-1 text-[14px] text-brick">{fault}</p>}
      <button type="button" className="btn" onClick={() => void take()}>
        Use {ratio}:1 in a copy
      </button>
    </div>
  );
}
