/** In place of a stage that is being loaded. */
export function StageLoading() {
  return <p className="p-4 text-ink2">Opening the stage …</p>;
}
