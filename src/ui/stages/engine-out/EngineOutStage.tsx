"use client";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { bestPropeller } from "@/core/asymmetric/climb-ledger";
import { degrees } from "@/core/quantities/angle";
import type { Outcome } from "@/core/outcome";
import { formatNumber } from "@/core/quantities/units";
import { Cautions } from "@/ui/kit/page/Cautions";
import { useReach } from "@/ui/answers/reach-store";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { FlyThis } from "@/ui/situation/FlyThis";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { ClimbView } from "./ClimbView";
import { ControlView } from "./ControlView";
import { IdentifyAnswering, IdentifyView } from "./IdentifyView";
import { PracticeView } from "./PracticeView";
import { SpeedsView } from "./SpeedsView";
import { TrialSwitches } from "./TrialSwitches";
import { engineOutDecision } from "./engine-out-words";
import { flownBank_rad, useEngineOut } from "@/ui/answers/engine-out-store";
import { useEngineOutQuestion, useEngineOutTables } from "@/ui/answers/useEngineOutAnswer";

const VIEWS = ["climb", "control", "speeds", "identify", "practice"] as const;
const VIEW_NAMES: Record<(typeof VIEWS)[number], string> = {
  climb: "Climb ledger",
  control: "Control",
  speeds: "Speeds",
  identify: "Identify and verify",
  practice: "Below V_MCA",
};
/** One ball of the turn coordinator. */
const BALL_DEG = 5;

/** Does it fly on one engine, and how? */
export function EngineOutStage() {
  const [view, setView] = useQueryState("view", parseAsStringLiteral(VIEWS).withDefault("climb"));
  useEngineOutTables();
  const issue = useEngineOut((state) => state.issue);
  return (
    <StageFrame
      label="One engine"
      question="Does it fly on one engine, and how?"
      actions={<FlyThis />}
      view={view}
      onView={(value) => void setView(value as (typeof VIEWS)[number])}
      views={VIEW_NAMES}
      viewsLabel="Views of one engine"
      refusal={
        issue && {
          title: "There is nothing to show for this aircraft.",
          text: `${issue.message} Choose a twin or the jet to see control and climb on one engine.`,
          tone: "",
        }
      }
      aside={view === "identify" && !issue ? <IdentifyAnswering /> : <Speeds />}
      narrow="middle"
      className="grid-rows-[auto_auto_minmax(0,1fr)] bg-sheet"
    >
      {view === "identify" ? <span /> : <TrialSwitches day={view === "control" || view === "practice"} />}
      <StageView value="climb">
        <ClimbView />
      </StageView>
      <StageView value="control">
        <ControlView />
      </StageView>
      <StageView value="speeds">
        <SpeedsView />
      </StageView>
      <StageView value="identify">
        <IdentifyView />
      </StageView>
      <StageView value="practice">
        <PracticeView />
      </StageView>
    </StageFrame>
  );
}

/** The speeds, the decision in a sentence, the cautions. */
function Speeds() {
  const now = useEngineOut((state) => state.now);
  const tables = useEngineOut((state) => state.tables);
  const issue = useEngineOut((state) => state.issue);
  const trial = useEngineOut((state) => state.trial);
  const question = useEngineOutQuestion();
  const { document } = useAeroplane();
  const ground_m = useReach((state) => state.answer?.ground_m ?? 0);
  const format = useFormat();
  if (issue || !now) return <aside className="border-l border-rule" aria-label="Speeds" />;
  const { ledger, vmca, speeds, zeroSideslip_rad } = now;
  const jet = document.engines.kind === "jet";
  const said = engineOutDecision({ ...now, jet, ground_m }, format);
  const margin = vmca.eas_mps === null ? null : now.eas_mps - vmca.eas_mps;
  const bank_rad = flownBank_rad(trial, now);
  const vmcaSource = { calculation: { name: "vmca", input: { ...question, bank_rad } } };
  const mendedSource = {
    calculation: {
      name: "one-engine-climb",
      input: { ...question, deadPropeller: bestPropeller(question), gearDown: false, flap: 0, items: [] },
    },
  };
  const ceilingSource = { calculation: { name: "ceilings", input: question } };
  const cautions = [
    "Estimate for planning and training. The flight manual and your instructor come first; the red and blue lines of its airspeed indicator stay what they are.",
    margin !== null &&
      margin < 5 &&
      !vmca.stallFirst &&
      "Near or below minimum control speed: reduce the power and lower the nose. The sooner the smaller the trouble.",
    vmca.stallFirst &&
      "The stall comes before control is lost: practising minimum control speed here ends in a stall with one engine at power, which spins.",
    ledger.over !== null && `The ${ledger.over} would be beyond its limit: this cannot be flown straight.`,
  ].filter((text): text is string => Boolean(text));
  return (
    <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Speeds">
      <section className="px-4 py-3" aria-label="Decision">
        <p className={said.climbs ? "" : "text-brick"}>
          <strong className={said.climbs ? "" : "block text-[24px] leading-7"}>{said.lead}</strong> {said.rest}
        </p>
      </section>
      <dl className="grid grid-cols-[1fr_auto] gap-y-1 border-t border-rule px-4 py-3 text-[15px] max-[1150px]:text-[13px] [&>dd]:text-right [&>dt]:text-ink2">
        <dt>V_MCA today, {formatNumber(degrees(bank_rad), 1)}° bank</dt>
        <dd>
          <Figure
            title="Minimum control speed today"
            figure="vmca"
            source={vmcaSource}
            className={vmca.stallFirst ? "" : "text-brick"}
          >
            {vmca.eas_mps === null
              ? vmca.binding
                ? "none: no control"
                : "none"
              : `${format("speed", vmca.eas_mps)} · ${vmca.stallFirst ? "stall first" : vmca.binding}`}
          </Figure>
        </dd>
        <dt>V_MCA book, 5° bank</dt>
        <dd className="num">{document.asymmetric ? format("speed", document.asymmetric.publishedVmca_mps) : "–"}</dd>
        <dt>V_S as banked</dt>
        <dd className="num">{format("speed", vmca.stall_mps)}</dd>
        <dt>V_SSE, book</dt>
        <dd className="num">
          {document.handbook.vsse_mps === null ? "–" : format("speed", document.handbook.vsse_mps)}
        </dd>
        <dt>{jet ? "Best rate" : "V_YSE"}, mended</dt>
        <dd>
          <Figure title="Best rate on one engine" figure="vyse" source={mendedSource}>
            {format("speed", speeds.rate.eas_mps)} · {format("verticalSpeed", speeds.rate.climb_mps)}
          </Figure>
        </dd>
        <dt>{jet ? "Best angle" : "V_XSE"}, mended</dt>
        <dd>
          <Figure title="Best angle on one engine" figure="vxse" source={mendedSource}>
            {format("speed", speeds.angle.eas_mps)} · {formatNumber(speeds.angle.gradient * 100, 1)} %
          </Figure>
        </dd>
        <dt>Zero sideslip</dt>
        <dd>
          <Figure
            title="Bank without sideslip"
            figure="control"
            source={{ calculation: { name: "control", input: { ...question, eas_mps: now.eas_mps, bank_rad: null } } }}
          >
            {zeroSideslip_rad === null
              ? "none"
              : `${formatNumber(degrees(zeroSideslip_rad), 1)}° · ball ${formatNumber(degrees(zeroSideslip_rad) / BALL_DEG, 1)}`}
          </Figure>
        </dd>
        <dt>Service ceiling</dt>
        <dd>
          <Figure title="Service ceiling on one engine" figure="serviceOne_m" source={ceilingSource}>
            {ceilingWords(tables?.service, format)}
          </Figure>
        </dd>
        <dt>Absolute ceiling</dt>
        <dd>
          <Figure title="Absolute ceiling on one engine" figure="absoluteOne_m" source={ceilingSource}>
            {ceilingWords(tables?.absolute, format)}
          </Figure>
        </dd>
      </dl>
      <div className="mt-auto">
        <Cautions texts={cautions} />
      </div>
    </aside>
  );
}

/** A ceiling as it is with everything as set. */
function ceilingWords(ceiling: Outcome<number> | undefined, format: ReturnType<typeof useFormat>): string {
  if (!ceiling) return "…";
  return ceiling.ok && ceiling.value > 0 ? `${format("height", ceiling.value)} as set` : "none as set";
}
