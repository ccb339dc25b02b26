import { PI } from "../numeric/exact";

/** −π…π. */
export function halfTurn(rad: number): number {
  const turns = Math.round(rad / (2 * PI));
  return rad - turns * 2 * PI;
}
