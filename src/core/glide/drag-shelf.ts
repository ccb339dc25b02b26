// The drag shelf: what each thing that can be out, open or turning costs in the glide.
import type { Aeroplane } from "../aircraft/aeroplane";
import type { PropellerState } from "../aircraft/propeller-state";
import type { Configuration } from "../aircraft/configuration";
import { polarOf } from "../aircraft/polar";
import { type Outcome, success } from "../outcome";
import { bestGlide, liftCoefficientAt, straightGlide } from "./straight-glide";

/** A glide as the shelf shows it. */
export interface ShelfGlide {
  /** Best glide ratio and its speed. */
  readonly ratio: number;
  readonly bestEas_mps: number;
  /** Sink and ratio at the speed asked for, at sea-level density; null below the stall there. */
  readonly sinkAtSpeed_mps: number | null;
  readonly ratioAtSpeed: number | null;
}

/** One thing on the shelf. */
export interface ShelfItem {
  readonly id: string;
  readonly name: string;
  /** Choices of a group exclude each other: flap settings, propeller states. */
  readonly group: "propeller" | "flap" | "gear" | "slip" | "item";
  /** The cleanest configuration with this alone out, open or turning. */
  readonly alone: Configuration;
  readonly deltaCd: number;
  /** The cleanest glide with this alone. */
  readonly glide: ShelfGlide;
}

/** The shelf of an aircraft at a mass and speed. */
export interface DragShelf {
  readonly cleanest: ShelfGlide;
  readonly items: readonly ShelfItem[];
  /** As configured. */
  readonly configured: ShelfGlide;
}

/** What a dead propeller can do. */
const STATES = ["windmilling", "stopped", "coarse", "feathered"] as const;

/** Nothing out, open or turning: the propeller in its state of least drag. */
export function cleanestConfiguration(aircraft: Aeroplane): Configuration {
  const drag = aircraft.polar?.deadPropeller;
  const possible = STATES.filter((state) => drag && drag[state] !== null);
  const least: PropellerState = drag
    ? possible.reduce(
        (best, state) => ((drag[state] ?? Infinity) < (drag[best] ?? Infinity) ? state : best),
        possible[0],
      )
    : "none";
  return { propeller: least, flap: 0, gearDown: !(aircraft.polar?.gear.retractable ?? false), slip: 0, items: [] };
}

/**
 * Every item alone against the cleanest glide, and the configuration as it is.
 *
 * @param eas_mps - speed at which sinks are compared
 * @returns failures of the polar
 */
export function dragShelf(
  aircraft: Aeroplane,
  mass_kg: number,
  eas_mps: number,
  configuration: Configuration,
): Outcome<DragShelf> {
  const clean = cleanestConfiguration(aircraft);
  const cleanest = shelfGlide(aircraft, mass_kg, eas_mps, clean);
  if (!cleanest.ok) return cleanest;
  const configured = shelfGlide(aircraft, mass_kg, eas_mps, configuration);
  if (!configured.ok) return configured;
  const { polar } = aircraft;
  const candidates: { id: string; name: string; group: ShelfItem["group"]; alone: Configuration }[] = [
    ...STATES.flatMap((state) =>
      polar?.deadPropeller && polar.deadPropeller[state] !== null && state !== clean.propeller
        ? [
            {
              id: `propeller-${state}`,
              name: `Propeller ${state}`,
              group: "propeller" as const,
              alone: { ...clean, propeller: state },
            },
          ]
        : [],
    ),
    ...(polar?.flaps ?? []).slice(1).map((flap, i) => ({
      id: `flap-${i + 1}`,
      name: `Flap ${flap.name}`,
      group: "flap" as const,
      alone: { ...clean, flap: i + 1 },
    })),
    ...(polar?.gear.retractable
      ? [{ id: "gear", name: "Gear down", group: "gear" as const, alone: { ...clean, gearDown: true } }]
      : []),
    ...(polar?.items ?? []).map((item) => ({
      id: `item-${item.id}`,
      name: item.name.charAt(0).toUpperCase() + item.name.slice(1),
      group: "item" as const,
      alone: { ...clean, items: [item.id] },
    })),
    ...(polar && polar.fullSlipDeltaCd > 0
      ? [{ id: "slip", name: "Full sideslip", group: "slip" as const, alone: { ...clean, slip: 1 } }]
      : []),
  ];
  const base = polarOf(aircraft, mass_kg, clean);
  const items: ShelfItem[] = [];
  for (const item of candidates) {
    const glide = shelfGlide(aircraft, mass_kg, eas_mps, item.alone);
    const dragging = polarOf(aircraft, mass_kg, item.alone);
    if (glide.ok && dragging.ok && base.ok)
      items.push({ ...item, deltaCd: dragging.value.polar.cd0 - base.value.polar.cd0, glide: glide.value });
  }
  return success({ cleanest: cleanest.value, items, configured: configured.value });
}

function shelfGlide(
  aircraft: Aeroplane,
  mass_kg: number,
  eas_mps: number,
  configuration: Configuration,
): Outcome<ShelfGlide> {
  const configured = polarOf(aircraft, mass_kg, configuration);
  if (!configured.ok) return configured;
  const best = bestGlide(configured.value.polar);
  const cl = liftCoefficientAt(configured.value.polar, eas_mps);
  const glide = cl === null ? null : straightGlide(configured.value.polar, cl);
  return success({
    ratio: best.ratio,
    bestEas_mps: best.eas_mps,
    sinkAtSpeed_mps: glide?.sinkEas_mps ?? null,
    ratioAtSpeed: glide?.ratio ?? null,
  });
}
