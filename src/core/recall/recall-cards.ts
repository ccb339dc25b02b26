// Questions made of the drills and the numbers of an aircraft: order, what next and why, blanks, speeds.
import type { AircraftDocument } from "../aircraft/aircraft-document";
import { isAeroplane } from "../aircraft/aircraft-kind";
import { procedureCategory, proceduresFor } from "../procedure/library/procedures";
import type { Procedure, Step } from "../procedure/procedure";
import { MPS_PER_KT } from "../quantities/constants";
import type { ChoiceCard, NumberCard, OrderCard, RecallCard } from "./recall-card";

/** Of each drill so many of a kind, so that no drill drowns the others. */
const [MOST_NEXT, MOST_BLANKS, MOST_STRIPS] = [3, 1, 6];
/** Ways out that a question offers. */
const ANSWERS = 3;
/** A speed is right within this. */
const WITHIN_MPS = 2 * MPS_PER_KT;

type Done = Extract<Step, { kind: "set" | "say" }>;
const isDone = (step: Step | undefined): step is Done =>
  step !== undefined && (step.kind === "set" || step.kind === "say") && step.memory && step.when === null;

/** What is done at a step, as one would say it. */
function words(step: Done): string {
  const { challenge } = step;
  const answer = step.kind === "set" ? step.position : step.response;
  if (!answer) return challenge;
  return challenge.endsWith("?") ? `${challenge} ${answer}` : `${challenge}: ${answer}`;
}

/** A number that looks like none, of a text: FNV-1a, 32 bits. Cards lie the same way each time. */
function hash(text: string): number {
  let value = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return value;
}

/** In an order that has nothing to do with the one that they came in, the same each time. */
const shuffled = <T>(list: readonly T[], seed: string, key: (one: T) => string): T[] =>
  list.toSorted((a, b) => hash(seed + key(a)) - hash(seed + key(b)));

/**
 * All cards of an aircraft.
 *
 * @param id - of the aircraft in its library: cards of two are never the same
 * @param own - procedures of the pilot's own
 */
export function recallCards(id: string, aircraft: AircraftDocument, own: readonly Procedure[] = []): RecallCard[] {
  const of = { aircraftId: id, aircraft: aircraft.name };
  const category = procedureCategory(aircraft);
  const mine = own.filter(({ fits }) => fits.includes(category));
  // What is made from one that ships is asked in its place.
  const replaced = new Set(mine.map(({ madeFrom }) => madeFrom));
  const ship = proceduresFor(category).filter((procedure) => !replaced.has(procedure.id));
  return [
    ...[...mine, ...ship].flatMap((procedure) => [
      ...orderCards(of, procedure),
      ...nextCards(of, procedure),
      ...blankCards(of, procedure),
    ]),
    ...numberCards(of, aircraft),
  ];
}

type Of = Pick<RecallCard, "aircraftId" | "aircraft">;

/** The memory items at the beginning of a drill, as strips. */
function orderCards(of: Of, procedure: Procedure): OrderCard[] {
  const end = procedure.steps.findIndex((step) => !isDone(step));
  const first = procedure.steps.slice(0, Math.min(end < 0 ? Infinity : end, MOST_STRIPS)).filter(isDone);
  const right = first.map(words);
  if (right.length < 3 || new Set(right).size < right.length) return [];
  const id = `${of.aircraftId}/${procedure.id}/order`;
  const strips = shuffled(right, id, (strip) => strip);
  return [
    {
      ...of,
      id,
      kind: "order",
      title: `Order: ${procedure.name}`,
      question: "Put them in order",
      about: procedure.name,
      why: procedure.purpose,
      strips,
      order: right.map((strip) => strips.indexOf(strip)),
      expected_s: 6 * right.length,
    },
  ];
}

/** What comes next, where the drill says why. */
function nextCards(of: Of, procedure: Procedure): ChoiceCard[] {
  const { steps } = procedure;
  const all = steps.filter(isDone);
  return steps
    .flatMap((step, i): ChoiceCard[] => {
      const before = steps.at(i - 1);
      if (i === 0 || !isDone(step) || !isDone(before) || step.why === null) return [];
      const id = `${of.aircraftId}/${procedure.id}/next/${step.id}`;
      const right = words(step);
      // What comes later, done too early, is the mistake that is made; then anything else of the drill.
      const others = [
        ...all.filter((other) => steps.indexOf(other) > i),
        ...all.filter((other) => steps.indexOf(other) < i - 1),
      ];
      const wrong = [...new Set(others.map(words))].filter((other) => other !== right).slice(0, ANSWERS - 1);
      if (wrong.length < ANSWERS - 1) return [];
      const answers = shuffled([right, ...wrong], id, (answer) => answer);
      return [
        {
          ...of,
          id,
          kind: "next",
          title: `After “${before.challenge}”`,
          question: `“${before.challenge}” is done. What next?`,
          about: procedure.name,
          why: step.why,
          answers,
          right: answers.indexOf(right),
          expected_s: 8,
        },
      ];
    })
    .slice(0, MOST_NEXT);
}

/** Where a control goes, of those with more than two positions. */
function blankCards(of: Of, procedure: Procedure): ChoiceCard[] {
  return procedure.steps
    .flatMap((step): ChoiceCard[] => {
      if (!isDone(step) || step.kind !== "set") return [];
      const control = procedure.controls.find(({ id }) => id === step.control);
      if (!control || control.positions.length < ANSWERS) return [];
      const answers = control.positions;
      return [
        {
          ...of,
          id: `${of.aircraftId}/${procedure.id}/blank/${step.id}`,
          kind: "blank",
          title: `${step.challenge}: …`,
          question: `${step.challenge}: …`,
          about: procedure.name,
          why: step.why ?? procedure.purpose,
          answers,
          right: answers.indexOf(step.position),
          expected_s: 6,
        },
      ];
    })
    .slice(0, MOST_BLANKS);
}

/** Speeds of the book by name; null where the book has none. */
function speedsOf(aircraft: AircraftDocument): readonly (readonly [string, number | null | undefined, string])[] {
  const vne = [
    "V_NE, never exceed",
    aircraft.limits.vne_mps,
    "A limit of the aircraft: no drill is flown beyond it.",
  ] as const;
  if (isAeroplane(aircraft)) {
    const { handbook, limits, asymmetric } = aircraft;
    return [
      ["Best glide", handbook.vbg_mps, "At the book’s mass; it goes with the root of the mass."],
      ["Stall, flap up", handbook.vs1_mps, "At the book’s mass, wings level: 19 % more at 45° of bank."],
      ["Stall, landing flap", handbook.vs0_mps, "At the book’s mass, wings level."],
      [
        "Best rate on one engine, V_YSE",
        "vyse_mps" in handbook ? handbook.vyse_mps : null,
        "Slower or faster it climbs less, or not at all.",
      ],
      [
        "V_MCA of the book",
        asymmetric?.publishedVmca_mps,
        "Below it the live engine turns it over: less power, nose down.",
      ],
      ["Flap, full: not above", limits.vfe_mps.at(-1), "Faster it bends or tears the flap."],
      vne,
    ];
  }
  if (aircraft.category === "helicopter")
    return [
      ["V_TOSS, after take-off on one", aircraft.handbook.vToss_mps, "Slower it does not fly away on one engine."],
      ["V_Y", aircraft.handbook.vy_mps, "The least power, the best climb on one engine."],
      ["Autorotation, least sink", aircraft.handbook.leastSinkSpeed_mps, "The longest time in the air."],
      ["Autorotation, best range", aircraft.handbook.bestRangeSpeed_mps, "Farthest over the ground in still air."],
      vne,
    ];
  return [
    ["Best glide", aircraft.handbook.bestGlideSpeed_mps, "Farthest over the ground in still air."],
    ["Least sink", aircraft.handbook.leastSinkSpeed_mps, "Slower there is neither rudder nor flare."],
    ["Speed for the flare", aircraft.handbook.flareSpeed_mps, "Speed is what the flare is made of."],
    vne,
  ];
}

function numberCards(of: Of, aircraft: AircraftDocument): NumberCard[] {
  const known = speedsOf(aircraft).flatMap(([name, speed_mps, why]) =>
    typeof speed_mps === "number" ? [{ name, speed_mps, why }] : [],
  );
  const low_mps = Math.max(Math.min(...known.map(({ speed_mps }) => speed_mps)) * 0.7, 0);
  const high_mps = Math.max(...known.map(({ speed_mps }) => speed_mps)) * 1.15;
  return known.map(({ name, speed_mps, why }) => ({
    ...of,
    id: `${of.aircraftId}/number/${name.toLowerCase().replaceAll(/[^a-z0-9]+/g, "-")}`,
    kind: "number",
    title: name,
    question: name,
    about: "Set the cursor, calibrated airspeed of the book",
    why,
    speed_mps,
    low_mps,
    high_mps,
    within_mps: WITHIN_MPS,
    expected_s: 10,
  }));
}
