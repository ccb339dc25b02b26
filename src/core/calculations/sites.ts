import { z } from "zod";
import { calculation } from "../calculation";
import { InlineTerrain, gridOf } from "../earth/inline-terrain";
import { landingChoice } from "../landing/landing-choice";
import { LandingQuestion } from "../landing/landing-question";
import { siteWorking } from "../landing/site-working";
import { success } from "../outcome";
import { WorkingStep } from "../working";

/** Where to land: every place in reach with length, obstacles, wind, sun and people, ranked with the reasons. */
export const sitesCalculation = calculation({
  name: "sites",
  cost: "long",
  question: "Which of the places in reach is the one to land on, and why?",
  sources: [
    "landing roll V²/(2·N·g)",
    "UK CAA Safety Sense Leaflet 7 (memory)",
    "14 CFR 23.233 before 2017 (memory)",
    "score: Utrimax",
  ],
  input: LandingQuestion.extend({
    terrain: InlineTerrain.nullable().default(null),
    explainEndId: z.string().nullable().default(null),
  }),
  output: z.object({
    crosswindLimit_mps: z.number(),
    sun: z.object({ azimuth_rad: z.number(), elevation_rad: z.number() }).nullable(),
    sites: z.array(
      z.object({
        endId: z.string(),
        name: z.string(),
        verdict: z.enum(["fits", "tight", "reserve", "wind", "too-short", "blocked", "short"]),
        bearingTrue_rad: z.number(),
        distance_m: z.number(),
        margin_m: z.number().nullable(),
        available_m: z.number(),
        needed_m: z.number().nullable(),
        computed_m: z.number().nullable(),
        spare_m: z.number().nullable(),
        overrun_mps: z.number().nullable(),
        threshold_m: z.number().nullable(),
        score: z.number(),
        reasons: z.array(z.object({ code: z.string(), tone: z.enum(["good", "caution", "bad"]), value: z.number() })),
      }),
    ),
    working: z.array(WorkingStep),
  }),
  run({ terrain, explainEndId, ...question }) {
    const choice = landingChoice(question, gridOf(terrain, question.position));
    if (!choice.ok) return choice;
    const ranked = choice.value.sites;
    const { sites, crosswindLimit_mps, sun } = ranked;
    const explained = sites.find((site) => site.end.id === explainEndId) ?? sites[0];
    return success({
      crosswindLimit_mps,
      sun,
      sites: sites.map(
        ({
          end,
          reach: { path, bearingTrue_rad, distance_m },
          verdict,
          length,
          spare_m,
          overrun_mps,
          score,
          reasons,
        }) => ({
          endId: end.id,
          name: end.name,
          verdict,
          bearingTrue_rad,
          distance_m,
          margin_m: path?.margin_m ?? null,
          available_m: end.length_m,
          needed_m: length?.needed_m ?? null,
          computed_m: length?.computed_m ?? null,
          spare_m,
          overrun_mps,
          threshold_m: length?.threshold_m ?? null,
          score,
          reasons: [...reasons],
        }),
      ),
      working: explained
        ? siteWorking(ranked, explained, question.landing)
        : [
            {
              figure: "length",
              symbol: "–",
              meaning: "no place has a way to it",
              formula: "",
              value: "none",
              unit: "",
              source: "path search",
            },
          ],
    });
  },
});
