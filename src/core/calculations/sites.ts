import { z } from "zod";
import { calculation } from "../calculation";
import { InlineTerrain, gridOf } from "../earth/inline-terrain";
import { reachOf } from "../landing/reach";
import { ReachInput } from "../landing/reach-input";
import { rankSites } from "../landing/sites";
import { siteWorking } from "../landing/site-working";
import { success } from "../outcome";
import { DEFAULT_LANDING, LandingPlan } from "../situation/landing-plan";
import { SituationDocument } from "../situation/situation-document";
import { WorkingStep } from "../working";

/** Where to land: every place in reach with length, obstacles, wind, sun and people, ranked with the reasons. */
export const sitesCalculation = calculation({
  name: "sites",
  question: "Which of the places in reach is the one to land on, and why?",
  sources: ["landing roll V²/(2·N·g)", "UK CAA Safety Sense Leaflet 7 (memory)", "14 CFR 23.233 before 2017 (memory)", "score: Utrimax"],
  input: ReachInput.extend({
    landing: LandingPlan.default(DEFAULT_LANDING), day: SituationDocument.shape.day,
    terrain: InlineTerrain.nullable().default(null), explainEndId: z.string().nullable().default(null),
  }).strict(),
  output: z.object({
    crosswindLimit_mps: z.number(),
    sun: z.object({ azimuth_rad: z.number(), elevation_rad: z.number() }).nullable(),
    sites: z.array(z.object({
      endId: z.string(), name: z.string(), verdict: z.enum(["fits", "tight", "too-short", "reserve", "blocked", "short"]), margin_m: z.number().nullable(),
      available_m: z.number(), needed_m: z.number().nullable(), computed_m: z.number().nullable(), spare_m: z.number().nullable(), threshold_m: z.number().nullable(), score: z.number(),
      reasons: z.array(z.object({ code: z.string(), tone: z.enum(["good", "caution", "bad"]), value: z.number() })),
    })),
    working: z.array(WorkingStep),
  }),
  run({ terrain, landing, day, explainEndId, ...input }) {
    const reach = reachOf(input, gridOf(terrain));
    if (!reach.ok) return reach;
    const ranked = rankSites(reach.value, input, landing, day);
    if (!ranked.ok) return ranked;
    const { sites, crosswindLimit_mps, sun } = ranked.value;
    const explained = sites.find((site) => site.end.id === explainEndId) ?? sites[0];
    return success({
      crosswindLimit_mps, sun,
      sites: sites.map(({ end, reach: { path }, verdict, length, spare_m, score, reasons }) => ({
        endId: end.id, name: end.name, verdict, margin_m: path?.margin_m ?? null, available_m: end.length_m, needed_m: length?.needed_m ?? null, computed_m: length?.computed_m ?? null, spare_m, threshold_m: length?.threshold_m ?? null, score, reasons: [...reasons],
      })),
      working: explained ? siteWorking(ranked.value, explained, landing) : [{ figure: "length", symbol: "–", meaning: "no place has a way to it", formula: "", value: "none", unit: "", source: "path search" }],
    });
  },
});
