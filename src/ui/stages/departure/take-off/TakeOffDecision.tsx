"use client";
import { useMissingTerrain } from "@/ui/situation/useMissingTerrain";
import { Cautions } from "@/ui/kit/page/Cautions";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";
import { returnInWords, takeOffDecision } from "@/ui/answers/take-off-words";

/** Side wind that is named, m/s: 10 kt. Common practice. */
const SIDE_MPS = 5.144;

/** The answer in a sentence, the distances and speeds, obstacles, cautions. */
export function TakeOffDecision({ answer }: { answer: TakeOffAnswer }) {
  const format = useFormat();
  const { accelerate, speeds, jet, question, back, clear, lowest } = answer;
  const source = { calculation: { name: "accelerate", input: question } };
  const said = takeOffDecision(answer, format);
  const short = accelerate.stopSpare_m < 0;
  const row = (name: string, value: string, figure: string, bad = false) => (
    <>
      <dt>{name}</dt>
      <dd>
        <Figure title={name} figure={figure} source={source} className={bad ? "text-brick" : ""}>
          {value}
        </Figure>
      </dd>
    </>
  );
  return (
    <>
      <section className="px-4 py-3" aria-label="Decision">
        <p className={said.tone}>
          <strong className={said.tone === "" ? "" : "block text-[24px] leading-7"}>{said.lead}</strong> {said.rest}
        </p>
      </section>
      <dl className="grid grid-cols-[1fr_auto] gap-y-0.5 border-t border-rule px-4 py-3 text-[14px] [&>dd]:text-right [&>dt]:text-ink2">
        {row(
          `Stop, from ${format("speed", accelerate.failure_mps)}`,
          format("length", accelerate.stopX_m - question.intersection_m),
          "stop",
          short,
        )}
        {row("Runway left", format("length", accelerate.stopSpare_m), "stop", short)}
        {row(
          `Go, to ${jet ? "35" : "50"} ft`,
          accelerate.goX_m === null ? "never" : format("length", accelerate.goX_m - question.intersection_m),
          "go",
          accelerate.goX_m === null,
        )}
        {jet && row("Balanced failure", format("speed", answer.balanced_mps), "stop")}
        {row("V_S, take-off flap", format("speed", speeds.stall_mps), "speeds")}
        {row(
          "V_MCA, gear down, 5° bank",
          speeds.vmca_mps === null ? "none" : format("speed", speeds.vmca_mps),
          "speeds",
        )}
        {row("V_R", format("speed", speeds.rotation_mps), "speeds")}
        {row(jet ? "V_2" : "V_50", format("speed", speeds.screen_mps), "speeds")}
        {row(jet ? "V_FTO" : "V_YSE", format("speed", speeds.oneEngine_mps), "speeds")}
        {row(
          "Turn back from",
          back.at ? `${format("height", back.height_m)}, ${format("distance", back.at.x_m)} out` : "not reached",
          "back",
        )}
      </dl>
      <p className="border-t border-rule px-4 py-2 text-[14px]">
        Turns on one engine at {format("speed", speeds.oneEngine_mps)}:{" "}
        <Figure title="Control in the turn" figure="back" source={source} className="text-left font-sans">
          {returnInWords(back, question.oneEngine.turns, format)}
        </Figure>
      </p>
      {lowest !== null && lowest.over_m !== null && (
        <p
          className={`border-t border-rule px-4 py-2 text-[14px] ${lowest.over_m < question.plan.clearance_m ? "text-brick" : ""}`}
        >
          Straight out, failure on the runway{jet ? ", net" : ""}:{" "}
          {lowest.over_m >= 0
            ? `least ${format("height", lowest.over_m)} over the ground`
            : `${format("height", -lowest.over_m)} into the ground`}
          , {format("distance", lowest.obstacle.distance_m)} out.
        </p>
      )}
      {clear.length > 0 && <Clearances answer={answer} />}
      <div className="mt-auto">
        <Cautions texts={useTakeOffCautions(answer)} />
      </div>
    </>
  );
}

/** What is left over each obstacle. */
function Clearances({ answer: { clear, jet, question } }: { answer: TakeOffAnswer }) {
  const format = useFormat();
  return (
    <section className="border-t border-rule px-4 py-2 text-[14px]" aria-label="Obstacles">
      <h2 className="font-bold">Over obstacles, failure on the runway{jet ? ", net" : ""}</h2>
      <ul>
        {clear.map(({ obstacle, over_m }) => (
          <li
            key={`${obstacle.name}${obstacle.distance_m}`}
            className={`flex justify-between gap-3 ${over_m !== null && over_m < question.plan.clearance_m ? "text-brick" : ""}`}
          >
            <span>{obstacle.name}</span>
            <span className="num">
              {over_m === null
                ? "not reached"
                : over_m >= 0
                  ? `+${format("height", over_m)}`
                  : `${format("height", -over_m)} under its top`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function useTakeOffCautions({ accelerate, speeds, jet, question }: TakeOffAnswer): string[] {
  const format = useFormat();
  const { surface } = question.wind;
  const side_mps = surface
    ? Math.abs(surface.speed_mps * Math.sin(surface.from_rad - question.runway.headingTrue_rad))
    : 0;
  const missing = useMissingTerrain();
  return [
    "Estimate for a dry, level, hard runway and prompt handling. The flight manual’s distances and speeds come first.",
    speeds.vmca_mps !== null &&
      speeds.vmca_mps > speeds.stall_mps &&
      "Below minimum control speed in the air: power back, nose down. Never lift off below it.",
    side_mps > SIDE_MPS &&
      `${format("speed", side_mps)} of side wind, which is not computed here: the aeroplane’s limit counts, and the rudder that it leaves for a failure.`,
    accelerate.stopSpare_m < 0 &&
      "It does not stop on this runway from there: choose an earlier failure speed, less mass or a longer runway.",
    question.runway.surface !== "asphalt" &&
      question.runway.surface !== "concrete" &&
      "Grass, gravel and sand roll and brake worse than computed here.",
    missing && `${missing}: the ground ahead is not looked at.`,
    !jet && "Handbook figures of light twins are flown by test pilots in new aeroplanes.",
  ].filter((text): text is string => Boolean(text));
}
