/** A piece of a list, and where the next begins; null at its end. */
export interface Page<T> {
  readonly items: readonly T[];
  readonly next: string | null;
}
