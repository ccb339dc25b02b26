/** The sign and the name: a path that turns back up, in ink and harbour blue. */
export function Mark() {
  return (
    <span className="inline-flex items-center gap-2 text-[21px] font-bold">
      <svg width="24" height="24" viewBox="0 0 24 24" aria-hidden="true" fill="none" strokeWidth="2.6">
        <path d="M5 3v10a6.5 6.5 0 0 0 13 0" stroke="currentColor" />
        <path d="M18 13V7.5M14.6 9.6 18 6l3.4 3.6" stroke="var(--harbour)" />
      </svg>
      Utrimax
    </span>
  );
}
