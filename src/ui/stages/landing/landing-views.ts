/** The views in the order of work. */
export const LANDING_VIEWS = [
  "paths",
  "choose",
  "keys",
  "lose",
  "one-engine",
  "touchdown",
  "ditching",
  "call",
] as const;
/** A view of the stage. */
export type LandingViewName = (typeof LANDING_VIEWS)[number];

/** What each answers. */
export const LANDING_QUESTIONS: Record<LandingViewName, string> = {
  paths: "Which runway can I make from here?",
  choose: "Which place is the one to land on?",
  keys: "Where must I be at which height?",
  lose: "How do I lose what is too much?",
  "one-engine": "When is it too late to go around?",
  touchdown: "How hard, and in what length?",
  ditching: "On which heading do I ditch?",
  call: "What do I say?",
};
