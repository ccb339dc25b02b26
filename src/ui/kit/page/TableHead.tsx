/** The head of a table of figures: the first name to the left, the others over their figures. */
export function TableHead({ names }: { names: readonly string[] }) {
  return (
    <thead className="text-[13px] text-ink2">
      <tr>
        {names.map((name, i) => (
          <th key={name} className={`font-normal ${i === 0 ? "text-left" : "px-2"}`}>
            {name}
          </th>
        ))}
      </tr>
    </thead>
  );
}
