/** Masses for a table, from the highest down: about seven, at round figures between the least and the greatest. */
export function roundMasses_kg({ maximum_kg, minimum_kg }: { maximum_kg: number; minimum_kg: number }): number[] {
  const rough = (maximum_kg - minimum_kg) / 6;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((factor) => factor * power).find((candidate) => candidate >= rough) ?? 10 * power;
  const masses = new Set([maximum_kg]);
  for (let mass = Math.floor(maximum_kg / step) * step; mass > minimum_kg; mass -= step) masses.add(mass);
  masses.add(minimum_kg);
  return [...masses].sort((a, b) => b - a);
}
