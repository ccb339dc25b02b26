"use client";
import { success } from "@/core/outcome";
import type { EngineOutCard } from "@/core/asymmetric/engine-out";
import type { AsymmetricQuestion } from "@/core/asymmetric/asymmetric-question";
import { degrees } from "@/core/quantities/angle";
import { SERVICE_ONE_MPS } from "@/core/asymmetric/one-engine-climb";
import { PA_PER_INHG } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { flownBank_rad, useEngineOut } from "@/ui/answers/engine-out-store";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useEngineOutQuestion } from "@/ui/answers/useEngineOutAnswer";
import { useSpeedsCard } from "./useSpeedsCard";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";
import type { RudderAtSpeed } from "@/core/asymmetric/rudder-by-speed";
import type { Outcome } from "@/core/outcome";
import type { Format } from "@/ui/kit/units/units-store";

/** Marks of a light twin's airspeed indicator. 14 CFR 23.1545 as it was before 2017 (memory). */
const MARKS: readonly { mark: string; says: string }[] = [
  {
    mark: "red radial line",
    says: "Minimum control speed as published: sea level, light, aft centre of gravity, windmilling, 5° of bank. It is not today’s.",
  },
  {
    mark: "blue radial line",
    says: "Best rate on one engine at maximum mass at sea level. Lighter or higher it is slower.",
  },
  { mark: "white arc", says: "From the stall with landing flap to the fastest speed with flap, both at maximum mass." },
  { mark: "green arc", says: "From the clean stall to the fastest cruise in rough air." },
  { mark: "red line, high end", says: "Never exceed." },
];

interface CardQuestion {
  readonly question: AsymmetricQuestion;
  readonly bank_rad: number;
  readonly eas_mps: number;
}

const askCard: Ask<CardQuestion, EngineOutCard> = async (core, { question, bank_rad, eas_mps }) =>
  success(await core.engineOutCard(question, bank_rad, eas_mps));

/** Speeds by height and mass, rudder trim, zero thrust, and what the indicator's marks mean. */
export function SpeedsView() {
  const now = useEngineOut((state) => state.now);
  const tables = useEngineOut((state) => state.tables);
  const bank_rad = useEngineOut((state) => flownBank_rad(state.trial, state.now));
  const question = useEngineOutQuestion();
  const { document } = useAeroplane();
  const format = useFormat();
  const eas_mps = now?.speeds.rate.eas_mps ?? null;
  const card = useAnswer(eas_mps === null ? null : { question, bank_rad, eas_mps }, askCard, "long").value;
  const print = useSpeedsCard(card);
  if (!card || !now) return <p className="p-4 text-ink2">Computing …</p>;
  const first = (i: number) => card.rows[i].mass_kg !== card.rows[i - 1]?.mass_kg;
  const jet = document.engines.kind === "jet";
  return (
    <div className="min-h-0 overflow-auto px-4 py-3" tabIndex={0} role="region" aria-label="Speeds by height and mass">
      <div className="mb-2 flex items-center gap-4">
        <h2 className="font-bold">Speeds today, equivalent, by altitude and mass</h2>
        <button type="button" className="btn ml-auto" onClick={print}>
          Speeds card (PDF)
        </button>
      </div>
      <DataTable
        className="w-full text-[13px]"
        rows={card.rows}
        rowKey={(row) => `${row.mass_kg} ${row.altitude_m}`}
        rowProps={(_, i) => ({ className: first(i) ? "border-t-2" : "" })}
        columns={[
          {
            name: "mass",
            tone: () => "num",
            cell: (row, i) => <span className={first(i) ? "" : "sr-only"}>{format("mass", row.mass_kg)}</span>,
          },
          { name: "altitude", cell: (row) => format("height", row.altitude_m) },
          {
            name: `V_MCA ${formatNumber(degrees(bank_rad), 0)}°`,
            cell: ({ vmca_mps, stall_mps }) =>
              vmca_mps === null ? "–" : vmca_mps <= stall_mps ? "stall first" : format("speed", vmca_mps),
            tone: ({ vmca_mps, stall_mps }) => (vmca_mps !== null && vmca_mps > stall_mps ? "text-brick" : ""),
          },
          { name: "V_S clean", cell: (row) => format("speed", row.stall_mps) },
          {
            name: jet ? "best rate" : "V_YSE",
            cell: (row) => format("speed", row.vyse.eas_mps),
            tone: () => "font-semibold",
          },
          {
            name: "climb",
            cell: (row) => format("verticalSpeed", row.vyse.climb_mps),
            tone: (row) => (row.vyse.climb_mps < 0 ? "text-brick" : ""),
          },
          { name: jet ? "best angle" : "V_XSE", cell: (row) => format("speed", row.vxse.eas_mps) },
          { name: "gradient", cell: (row) => `${formatNumber(row.vxse.gradient * 100, 1)} %` },
        ]}
      />
      <p className="mt-1 text-[13px] text-ink2">
        V_MCA with take-off flap, {jet ? "" : "windmilling, "}gear up, {formatNumber(degrees(bank_rad), 1)}° of bank;
        the rest mended. V_SSE is the maker’s:{" "}
        {document.handbook.vsse_mps === null ? "not given" : format("speed", document.handbook.vsse_mps)}.
      </p>
      <div className="mt-4 grid grid-cols-2 gap-6 max-[1150px]:grid-cols-1">
        <section aria-label="Rudder by speed">
          <h2 className="font-bold">Rudder to hold or trim, no sideslip, as set</h2>
          <DataTable
            className="w-full text-[13px]"
            rows={tables?.rudder ?? []}
            rowKey={(row) => row.eas_mps}
            columns={[
              { name: "speed", tone: () => "num", cell: (row) => format("speed", row.eas_mps) },
              ...(["left", "right"] as const).flatMap((failed): Column<RudderAtSpeed>[] => [
                {
                  name: `${failed} failed`,
                  cell: (row) =>
                    row[failed] === null
                      ? "–"
                      : `${formatNumber(degrees(row[failed].rudder_rad), 1)}° ${failed === "left" ? "right" : "left"}`,
                },
                {
                  name: `pedal, ${failed} failed`,
                  head: "pedal",
                  cell: (row) => (row[failed] === null ? "–" : format("force", row[failed].pedal_N)),
                },
              ]),
            ]}
          />
          <h2 className="mt-3 font-bold">Ceilings mended, by mass</h2>
          <DataTable
            className="w-full text-[13px]"
            rows={card.ceilings}
            rowKey={(row) => row.mass_kg}
            columns={[
              { name: "mass", tone: () => "num", cell: (row) => format("mass", row.mass_kg) },
              {
                name: `service (${format("verticalSpeed", SERVICE_ONE_MPS)})`,
                cell: ({ service }) => ceilingInWords(service, format),
              },
              { name: "absolute", cell: ({ absolute }) => ceilingInWords(absolute, format) },
            ]}
          />
        </section>
        <section aria-label="Zero thrust and marks">
          {!jet && (
            <>
              <h2 className="font-bold">Zero thrust, to practise with</h2>
              {card.zero.ok ? (
                <p className="mb-3 text-[14px]">
                  About{" "}
                  <Figure
                    title="Zero thrust"
                    figure="zero-thrust"
                    source={{ calculation: { name: "zero-thrust", input: { ...question, eas_mps: eas_mps ?? 45 } } }}
                  >
                    {formatNumber(card.zero.value.manifold_Pa / PA_PER_INHG, 0)} inHg at{" "}
                    {formatNumber(card.zero.value.speed_rpm, 0, 10)} rpm
                  </Figure>{" "}
                  at {format("speed", eas_mps ?? 45)} drags like the feathered propeller:{" "}
                  {Math.round(card.zero.value.share * 100)} % of the power. An estimate; the manual’s setting comes
                  first. Check it: rudder and ball stand as they do feathered.
                </p>
              ) : (
                <p className="mb-3 text-[14px]">{card.zero.issue.message}</p>
              )}
            </>
          )}
          <h2 className="font-bold">What the airspeed indicator’s marks say</h2>
          <dl className="text-[13px]">
            {(jet ? MARKS.slice(2) : MARKS).map(({ mark, says }) => (
              <div key={mark} className="border-t border-rule py-1">
                <dt className="font-semibold">{mark}</dt>
                <dd>{says}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-1 text-[13px] text-ink2">
            Marks of small aeroplanes by 14 CFR 23.1545 as it was before 2017. They stay what they are: this page
            changes no instrument.
          </p>
        </section>
      </div>
    </div>
  );
}

function ceilingInWords(ceiling: Outcome<number>, format: Format): string {
  if (!ceiling.ok) return ceiling.issue.code === "above_model" ? "above the model" : "none";
  return ceiling.value > 0 ? format("height", ceiling.value) : "below the sea";
}
