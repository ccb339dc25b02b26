"use client";
import { CAUSES, type SpentPart } from "@/core/exercise/height-account";
import { heightSpentWorking } from "@/core/exercise/height-spent-working";
import { success } from "@/core/outcome";
import { formatNumber } from "@/core/quantities/units";
import { AsideFigures } from "@/ui/kit/page/DecisionAside";
import { Figure } from "@/ui/kit/working/Figure";
import type { WorkingSource } from "@/ui/kit/working/working-store";
import { type Format, useFormat } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import type { FlightAccount } from "./fly-store";
import { CAUSE_WORDS, plannedPart } from "./spent-words";

const DEG = 180 / Math.PI;
/** Less than this is no row, m. */
const SHOWN_M = 1.5;

/** What is left over the reserve of height, or lacks. */
const leftWords = (margin_m: number, format: Format): string =>
  margin_m < 0
    ? `${format("height", -margin_m, "up")} short`
    : `${format("height", margin_m, "down")} left over the reserve`;

interface Props {
  account: FlightAccount;
  /** It came to the ground: before that its parts are not those of a whole way. */
  landed: boolean;
}

/** Where the height went: part by part beside the plan, then what took more than the way needed. */
export function HeightAccount({ account: { planned, spent, atOnce }, landed }: Props) {
  const format = useFormat();
  const reserve_m = useSituation((state) => state.current.plan.reserve_m);
  if (!spent) return null;
  const { reaction, turns, straight, beyond_m } = spent;
  const signed = (m: number) => `${m < 0 ? "−" : "+"}${format("height", Math.abs(m), m < 0 ? "down" : "up")}`;
  const parts = [
    ["reaction", "Reaction", reaction, `${formatNumber(reaction.time_s)} s`],
    ["turns", "Turns", turns, `${formatNumber(turns.turned_rad * DEG)}°`],
    ["straight", "Straight", straight, format("distance", straight.distance_m)],
  ] as const satisfies readonly (readonly [string, string, SpentPart, string])[];
  const ledger = landed ? (planned?.path?.ledger ?? null) : null;
  const source: WorkingSource = { ask: async () => success(heightSpentWorking(spent)) };
  return (
    <section className="border-t border-rule pt-2" aria-label="Height">
      <table className="mx-4 w-[calc(100%-2rem)] text-[15px]">
        <caption className="pb-1 text-left text-[14px] text-ink2">
          {planned?.path ? (
            <>
              Planned from the failure, dashed: {planned.name}, {leftWords(planned.path.margin_m, format)}.{" "}
              {atOnce &&
                (atOnce.over_m === null
                  ? "Flown so at once by the modelled pilot, it comes down before."
                  : `Flown so at once by the modelled pilot: ${leftWords(atOnce.over_m - reserve_m, format)}.`)}
            </>
          ) : spent.kind === "glide" ? (
            "Height since the failure."
          ) : (
            "Height and speed lost since the failure; negative where gained."
          )}
        </caption>
        <thead className="text-[13px] text-ink2">
          <tr>
            <th className="text-left font-normal" scope="col">
              part
            </th>
            {ledger && (
              <th className="text-right font-normal" scope="col">
                planned
              </th>
            )}
            <th className="text-right font-normal" scope="col">
              flown
            </th>
          </tr>
        </thead>
        <tbody>
          {parts
            .filter(([, , { time_s }]) => time_s > 0)
            .map(([part, name, { lost_m }, how]) => (
              <tr key={part}>
                <th className="text-left font-normal text-ink2" scope="row">
                  {name} <span className="num text-[13px]">{how}</span>
                </th>
                {ledger && <td className="num text-right">{format("height", plannedPart(ledger, part), "up")}</td>}
                <td className="text-right">
                  <Figure title={name} figure={part} source={source}>
                    {spent.kind === "glide" ? format("height", Math.max(lost_m, 0), "up") : signed(lost_m)}
                  </Figure>
                </td>
              </tr>
            ))}
        </tbody>
      </table>
      <p className="px-4 pt-2 text-[14px] text-ink2">
        {spent.kind === "glide"
          ? "More than this way needed, for"
          : "More than at V_YSE, clean, feathered, without a slip, for"}
      </p>
      <AsideFigures>
        {CAUSES.filter((cause) => Math.abs(beyond_m[cause]) > SHOWN_M).map((cause) => (
          <Row
            key={cause}
            name={CAUSE_WORDS[cause]}
            figure={cause}
            source={source}
            value={signed(beyond_m[cause])}
            bad={beyond_m[cause] > 15 && cause !== "air"}
          />
        ))}
        <Row
          name={spent.intoSpeed_m > 0 ? "Become speed" : "Speed become height"}
          figure="lost"
          source={source}
          value={format("height", Math.abs(spent.intoSpeed_m), "down")}
        />
        <Row
          name={spent.lost_m < 0 ? "Height gained" : "Height lost"}
          figure="lost"
          source={source}
          value={format("height", Math.abs(spent.lost_m), spent.lost_m < 0 ? "down" : "up")}
        />
      </AsideFigures>
    </section>
  );
}

interface RowProps {
  name: string;
  figure: string;
  source: WorkingSource;
  value: string;
  bad?: boolean;
}

function Row({ name, figure, source, value, bad = false }: RowProps) {
  return (
    <>
      <dt>{name}</dt>
      <dd>
        <Figure title={name} figure={figure} source={source} className={bad ? "text-brick" : ""}>
          {value}
        </Figure>
      </dd>
    </>
  );
}
