"use client";
import { AlertDialog } from "radix-ui";
import type { Difference } from "@/ui/kit/differences";

/** Differences listed; more are counted. */
const MOST_LISTED = 12;

/** Two versions of one thing, and what becomes of them. Nothing happens until the user says which. */
export function ConflictDialog({
  name,
  differences,
  busy,
  onMine,
  onTheirs,
  onBoth,
  onLater,
}: {
  name: string;
  differences: readonly Difference[];
  busy: boolean;
  onMine: () => void;
  onTheirs: () => void;
  onBoth: () => void;
  onLater: () => void;
}) {
  const listed = differences.slice(0, MOST_LISTED);
  return (
    <AlertDialog.Root open onOpenChange={(open) => !open && onLater()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-[#0b0e13]/35" />
        <AlertDialog.Content className="panel fixed top-[10vh] left-1/2 z-50 flex max-h-[80vh] w-[92vw] max-w-2xl -translate-x-1/2 flex-col gap-3 px-5 py-4">
          <AlertDialog.Title className="text-lg font-bold">“{name}” was saved elsewhere meanwhile</AlertDialog.Title>
          <AlertDialog.Description>
            In another tab, on another device, or by somebody with this account. Nothing is lost yet: say what becomes
            of the two.
          </AlertDialog.Description>
          <div
            className="min-h-0 overflow-auto border-y border-rule"
            tabIndex={0}
            role="region"
            aria-label="Differences"
          >
            <table className="w-full table-fixed text-[14px]">
              <thead>
                <tr className="text-left text-[13px] text-ink2">
                  <th scope="col" className="w-[30%] py-1 pr-3 font-normal">
                    Differs in
                  </th>
                  <th scope="col" className="py-1 pr-3 font-normal">
                    Here
                  </th>
                  <th scope="col" className="py-1 font-normal">
                    Saved elsewhere
                  </th>
                </tr>
              </thead>
              <tbody>
                {listed.map(({ what, mine, theirs }) => (
                  <tr key={what} className="border-t border-rule align-top">
                    <th scope="row" className="py-1 pr-3 text-left font-normal">
                      {what}
                    </th>
                    <td className="num py-1 pr-3 wrap-anywhere">{mine}</td>
                    <td className="num py-1 wrap-anywhere">{theirs}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            {differences.length > listed.length && (
              <p className="py-1 text-[13px] text-ink2">and {differences.length - listed.length} more</p>
            )}
          </div>
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn" disabled={busy} onClick={onBoth}>
              Keep both
            </button>
            <button type="button" className="btn btn-quiet" disabled={busy} onClick={onMine}>
              Keep what is here
            </button>
            <button type="button" className="btn btn-quiet" disabled={busy} onClick={onTheirs}>
              Take what was saved elsewhere
            </button>
            <AlertDialog.Cancel className="btn btn-quiet ml-auto">Decide later</AlertDialog.Cancel>
          </div>
          <p className="text-[13px] text-ink2">
            “Keep both” leaves the other as it was saved and makes a copy of what is here.
          </p>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
