/** Of what is missing; filled in as `url(#id)`. */
export function ShortHatch({ id }: { id: string }) {
  return (
    <pattern id={id} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
      <line x1="0" y1="0" x2="0" y2="6" stroke="var(--brick)" strokeWidth="3" />
    </pattern>
  );
}

/** Of the reserve. */
export function ReserveHatch({ id }: { id: string }) {
  return (
    <pattern id={id} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="7" height="7" fill="var(--sheet)" />
      <line x1="0" y1="0" x2="0" y2="7" stroke="var(--ink2)" strokeWidth="2.4" />
    </pattern>
  );
}
