/** Every number in single precision; anything else as it is. */
export function rounded<T>(value: T): T {
  if (typeof value === "number") return Math.fround(value) as T;
  if (Array.isArray(value)) return value.map(rounded) as T;
  if (value !== null && typeof value === "object")
    return Object.fromEntries(Object.entries(value).map(([key, of]) => [key, rounded(of)])) as T;
  return value;
}
