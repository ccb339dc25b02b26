/** A number as typed, with the marks people use between and in numbers; NaN for anything else. */
export function parseNumber(text: string): number {
  const cleaned = text
    .replace(/[\s\u202f\u00a0]/g, "")
    .replace("−", "-")
    .replace(",", ".");
  return cleaned === "" ? NaN : Number(cleaned);
}

/** On by some steps to a whole one: 68 by one step of 10 becomes 80, not 78. */
export function nextStep(from: number, steps: number, step: number): number {
  // Six decimals hide what binary fractions leave over.
  return Number((Math.round((from + steps * step) / step) * step).toFixed(6));
}
