/** The eight stages in the order in which the work is done. */
export const STAGES = [
  {
    slug: "aircraft",
    name: "Aircraft",
    question: "Do I know its numbers?",
    answers:
      "Fits a model to the handbook and shows sink against speed, the cost of each item of drag, and speeds by mass.",
    built: true,
  },
  {
    slug: "departure",
    name: "Departure",
    question: "From what height does turning back work today?",
    answers: "Shows for every failure height what works: stop, ahead, a field, or the turn back, with its chance.",
    built: true,
  },
  {
    slug: "en-route",
    name: "En route",
    question: "Where along this route is a landing place in reach?",
    answers:
      "Draws the lowest height at every point from which some landing place can be reached, and closes the gaps.",
    built: false,
  },
  {
    slug: "engine-out",
    name: "Engine out",
    question: "Does it fly on one engine, and how?",
    answers:
      "Shows control and climb on one engine: minimum control speed today, bank, ball, and what each item costs.",
    built: true,
  },
  {
    slug: "restart",
    name: "Restart",
    question: "Is there height for a restart?",
    answers:
      "Turns height into seconds, fits the cause check and restart attempts into them, and says when to stop trying.",
    built: true,
  },
  {
    slug: "landing",
    name: "Landing",
    question: "Which runway can I make from here?",
    answers: "Finds the glide path to every landing end in reach and what it costs in height.",
    built: true,
  },
  {
    slug: "rehearse",
    name: "Rehearse",
    question: "Can I do it without thinking?",
    answers: "Drills as challenge and response, and a simulator with failures, scored against tolerances.",
    built: false,
  },
  {
    slug: "debrief",
    name: "Debrief",
    question: "What happened, and what does it teach?",
    answers: "Reads flight logs, finds the glides and turns, measures them and lays them beside the prediction.",
    built: false,
  },
] as const;

/** One of the eight. */
export type Stage = (typeof STAGES)[number];

/** The stage of a path segment; undefined for anything else. */
export function stageOf(slug: string): Stage | undefined {
  return STAGES.find((stage) => stage.slug === slug);
}
