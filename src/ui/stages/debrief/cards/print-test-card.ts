import { cardDay, middle_m, predictedRun } from "@/core/series/predicted-run";
import type { TestCard } from "@/core/series/test-card";
import { formatNumber } from "@/core/quantities/units";
import { fileName } from "@/ui/kit/download";
import type { Format } from "@/ui/kit/units/units-store";
import type { TestCardContent } from "./TestCardPdf";
import { amountWords, valueWords } from "./series-words";

/** A card as it is printed. */
export function testCardContent(card: TestCard, format: Format): TestCardContent {
  const turning = card.kind === "half-turn";
  const day = cardDay(card);
  return {
    title: card.name,
    sub: `${card.aircraft.name}, ${format("mass", card.mass_kg)}; air ${card.deviation_K < 0 ? "−" : "+"}${formatNumber(Math.abs(card.deviation_K))} °C beside standard`,
    task: card.task,
    abort: format("height", card.abort_m),
    rules: card.rules,
    rows: [
      { name: "Begin at", value: format("height", card.start_m) },
      ...(turning
        ? [
            {
              name: "Speed, at least",
              value: `${format("speed", card.speed_mps)}, ${formatNumber(card.overStall, 2)} × the stall in the turn`,
            },
          ]
        : []),
      { name: "Mark", value: card.marks.join(" · ") },
      { name: "Wind, QNH, temperature", value: "" },
    ],
    head: ["run", turning ? "bank" : "speed", "predicted", "speed", "from", "to"],
    runs: card.points.map((value, i) => {
      const run = day.ok ? predictedRun(day.value, value, middle_m(card)) : day;
      return [
        // Each row has words of its own, or the table takes two for one.
        `${i + 1}`,
        valueWords(card.kind, format, value),
        run.ok ? amountWords(card.kind, format, run.value.amount) : "–",
        run.ok ? format("speed", run.value.eas_mps) : "–",
        "",
        "",
      ];
    }),
  };
}

/** Prints a card. The library of it is large and comes when it is asked for. */
export async function printTestCard(card: TestCard, format: Format): Promise<void> {
  const [{ makePdf }, { TestCardPdf }, { createElement }] = await Promise.all([
    import("@/ui/kit/print/make-pdf"),
    import("./TestCardPdf"),
    import("react"),
  ]);
  await makePdf(createElement(TestCardPdf, { content: testCardContent(card, format) }), `${fileName(card.name)}.pdf`);
}
