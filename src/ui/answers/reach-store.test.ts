import { beforeEach, describe, expect, it } from "vitest";
import { DEMO_ORIGIN, demoAircraft, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { landingEnds } from "@/core/landing/landing-end";
import { landingChoice } from "@/core/landing/landing-choice";
import { landingQuestion } from "@/core/landing/landing-question";
import { shownEnd, useReach } from "./reach-store";

const places = demoPlaces();
const question = landingQuestion(demoSituation(), demoAircraft("alder-s1"), landingEnds(places));
const found = landingChoice(question, null);
if (!found.ok) throw new Error(found.issue.message);
const { reach, sites: ranked } = found.value;
const ANSWER = {
  question,
  reach,
  sites: ranked,
  issue: null,
  ground_m: 0,
  origin: DEMO_ORIGIN,
  took_ms: 1,
};

beforeEach(() => {
  useReach.setState({ answer: null, pinnedId: null, pointedEntry: null });
});

describe("what is looked at", () => {
  it("is nothing without an answer, the best with one, the picked one when there is one", () => {
    expect(shownEnd(useReach.getState())).toBeNull();
    useReach.getState().setAnswer(ANSWER);
    expect(shownEnd(useReach.getState())?.endId).toBe(reach.ends[0].endId);
    const other = reach.ends[3].endId;
    useReach.getState().pin(other);
    expect(shownEnd(useReach.getState())?.endId).toBe(other);
    useReach.getState().pin(null);
    expect(shownEnd(useReach.getState())?.endId).toBe(reach.ends[0].endId);
  });

  it("falls back to the best when the picked end has gone, and forgets the pointed block with the end", () => {
    useReach.getState().setAnswer(ANSWER);
    useReach.getState().point(2);
    useReach.getState().pin("gone");
    expect(useReach.getState().pointedEntry).toBeNull();
    expect(shownEnd(useReach.getState())?.endId).toBe(reach.ends[0].endId);
  });
});
