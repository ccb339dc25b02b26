"use client";
import { type Memory, chanceAt } from "@/core/recall/memory";
import type { HeldCard, RecallDay } from "@/core/recall/recall-day";
import { formatNumber } from "@/core/quantities/units";
import { Chart } from "@/ui/kit/charts/Chart";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { waitWords } from "./recall-words";

const CAUTIONS = [
  "Memory items here are generic. Learn those of your flight manual; make your own drills of them to be asked those.",
];
/** Lines of a list that is looked at, not worked through. */
const MOST_LINES = 7;
const DAY_MS = 24 * 3600 * 1000;
/** A card takes about this long, min. */
const CARD_MIN = 0.6;

/** What is due and how well it is held; of the card that is asked, how it was forgotten so far. */
export function RecallAside({ day, cardId }: { day: RecallDay | null; cardId: string | null }) {
  const of = day && [...day.due, ...day.later].find(({ card }) => card.id === cardId);
  const weak = day?.due.filter(({ chance }) => chance !== null && chance < 0.8).length ?? 0;
  const said = day && {
    lead:
      day.due.length === 0
        ? "Nothing is due."
        : `${formatNumber(day.due.length)} due, about ${formatNumber(Math.ceil(day.due.length * CARD_MIN))} min.`,
    rest:
      weak > 0
        ? `${formatNumber(weak)} of them you may have forgotten.`
        : day.due.length > 0
          ? "A little today is worth more than much on Sunday."
          : day.later[0]?.memory
            ? `The next comes ${waitWords(day.later[0].memory.due_ms - day.now_ms)}.`
            : "",
  };
  return (
    <DecisionAside said={said} good cautions={CAUTIONS}>
      {day && (
        <section className="border-t border-rule px-4 py-2 text-[13px]" aria-label="Held">
          <p className="text-ink2">held: chance that you know it now</p>
          <ul>
            {[...day.due.slice(0, MOST_LINES), ...day.later.slice(0, 3)].map((held) => (
              <HeldLine key={held.card.id} held={held} now_ms={day.now_ms} />
            ))}
          </ul>
        </section>
      )}
      {of && of.answered.length > 0 && <Forgetting held={of} />}
    </DecisionAside>
  );
}

function HeldLine({ held: { card, memory, chance }, now_ms }: { held: HeldCard; now_ms: number }) {
  const weak = chance !== null && chance < 0.75;
  return (
    <li className="flex items-center gap-2 py-0.5">
      <span className="min-w-0 flex-1 truncate font-semibold">{card.title}</span>
      <span className="h-2.5 w-10 shrink-0 border border-ink2" aria-hidden="true">
        <span
          className="block h-full"
          style={{ width: `${(chance ?? 0) * 100}%`, background: weak ? "var(--ochre)" : "var(--ink2)" }}
        />
      </span>
      <span className={`num w-8 shrink-0 text-right ${weak ? "text-ochre" : "text-ink2"}`}>
        {chance === null ? "new" : `.${String(Math.min(Math.round(chance * 100), 99)).padStart(2, "0")}`}
      </span>
      <span className="w-16 shrink-0 text-right text-ink2">
        {memory ? waitWords(memory.due_ms - now_ms).replace(/^in /, "") : "now"}
      </span>
    </li>
  );
}

/** Each time it was asked and how it was forgotten until the next, in days from the first. */
function Forgetting({ held }: { held: HeldCard }) {
  const inOrder = held.answered.toSorted((a, b) => a.at_ms - b.at_ms);
  const first_ms = inOrder[0].at_ms;
  const days = (at_ms: number) => (at_ms - first_ms) / DAY_MS;
  const last: Memory | null = held.memory;
  const until_ms = last ? Math.max(last.due_ms, last.last_ms + DAY_MS) : first_ms + DAY_MS;
  const ahead = Array.from({ length: 30 }, (_, i) => {
    const at_ms = (last?.last_ms ?? first_ms) + ((until_ms - (last?.last_ms ?? first_ms)) * i) / 29;
    return [days(at_ms), last ? chanceAt(last, at_ms) : 1];
  });
  const asked = inOrder.map(({ at_ms, grade }) => [days(at_ms), grade === "missed" ? 0 : 1]);
  return (
    <section className="border-t border-rule px-4 pt-2">
      <h3 className="text-[14px] font-bold">{held.card.title}: asked, and forgotten again</h3>
      <Chart
        className="h-40"
        label="Chance that the card is known, by days since it was first asked"
        option={(ink) => ({
          grid: { left: 32, right: 8, top: 10, bottom: 34 },
          xAxis: { ...ink.axis("days"), nameLocation: "middle", nameGap: 20, min: 0 },
          yAxis: { ...ink.axis(""), min: 0, max: 1, interval: 0.5 },
          series: [
            { type: "line", data: ahead, showSymbol: false, lineStyle: { color: ink.of("harbour"), type: "dashed" } },
            { type: "scatter", data: asked, symbolSize: 9, itemStyle: { color: ink.of("harbour") } },
          ],
        })}
        table={
          <table className="text-[13px]">
            <tbody>
              {inOrder.map(({ at_ms, grade }) => (
                <tr key={at_ms}>
                  <td className="num pr-3">{new Date(at_ms).toISOString().slice(0, 10)}</td>
                  <td>{grade}</td>
                </tr>
              ))}
            </tbody>
          </table>
        }
      />
    </section>
  );
}
