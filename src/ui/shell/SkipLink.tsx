"use client";

/** The first stop of the keyboard: past the spine and the situation, to the stage itself. */
export function SkipLink() {
  return (
    <a
      href="#stage"
      className="btn btn-primary absolute -top-24 left-3 z-50 focus:top-2"
      onClick={(event) => {
        // By focus rather than by address, which belongs to the view that is open.
        event.preventDefault();
        document.getElementById("stage")?.focus();
      }}
    >
      Skip to the stage
    </a>
  );
}
