// An aircraft with the polar that its own glides show: a copy, with where it comes from in its description.
import type { Aeroplane } from "../aircraft/aeroplane";
import { withFit } from "../aircraft/fitted-aircraft";
import { type Outcome, failure, success } from "../outcome";
import type { FoundFlight } from "../track/analyse";
import type { FlownGlide, FlownPolar } from "../track/measure/polar-fit";

/** Longest description and name of an aircraft. */
const [MOST_DESCRIPTION, MOST_NAME] = [400, 60];

/** Glides of a log that show the polar of the aircraft with its engine off, not at idle and not standing. */
export function flownGlides(flights: readonly FoundFlight[]): FlownGlide[] {
  return flights
    .flatMap(({ failures }) => failures)
    .filter(({ kind }) => kind === "windmilling" || kind === "reduced or lost")
    .flatMap(({ glides }) => glides)
    .flatMap(({ eas_mps, tas_mps, sink_mps }) =>
      eas_mps.known && tas_mps.known && sink_mps.known && sink_mps.value > 0.2 && sink_mps.value < tas_mps.value
        ? [
            {
              eas_mps: eas_mps.value,
              tas_mps: tas_mps.value,
              sink_mps: sink_mps.value,
              sinkSigma_mps: sink_mps.sigma,
            },
          ]
        : [],
    );
}

/**
 * A copy with CD0 and k as flown; the book's figures, the stall and everything else stay.
 *
 * @param from - where it comes from, in words: it heads the description
 * @returns `no_polar`, `other_propeller` where the book does not glide with it windmilling; failures of the fit
 */
export function refittedAircraft(aircraft: Aeroplane, fit: FlownPolar, from: string): Outcome<Aeroplane> {
  const { polar, handbook, name } = aircraft;
  if (!polar) return failure("no_polar", `${name} has no polar that could be refitted.`, "aircraft");
  if (polar.deadPropeller && handbook.glidePropeller !== "windmilling")
    return failure(
      "other_propeller",
      `The book of ${name} glides with its propeller ${handbook.glidePropeller}: windmilling glides do not refit it.`,
      "aircraft",
    );
  return asFlown(aircraft, fit, from);
}

/** A copy with another CD0 and k, called as flown. */
export function asFlown(
  aircraft: Aeroplane,
  { cd0, k }: Pick<FlownPolar, "cd0" | "k">,
  from: string,
): Outcome<Aeroplane> {
  const { polar, name, description } = aircraft;
  const fitted = withFit(aircraft, {
    cd0,
    k,
    clMax: (polar?.flaps ?? []).map((flap) => ({ flap: flap.name, clMax: flap.clMax })),
    oswald: 1,
    residuals: [],
    doubts: [],
  });
  if (!fitted.ok) return fitted;
  return success({
    ...fitted.value,
    name: `${name}, as flown`.slice(0, MOST_NAME),
    description: `${from} ${description}`.slice(0, MOST_DESCRIPTION).trim(),
  });
}
