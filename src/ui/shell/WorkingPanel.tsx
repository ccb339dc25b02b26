"use client";
import { Copy, Printer, X } from "lucide-react";
import { Dialog } from "radix-ui";
import { useEffect, useState } from "react";
import { toast } from "sonner";
import type { Issue } from "@/core/outcome";
import type { WorkingStep } from "@/core/working";
import { askCore } from "@/ui/kit/lanes/lanes";
import { useUnits } from "@/ui/kit/units/units-store";
import { stepValue } from "@/ui/kit/working/step-value";
import { type WorkingRequest, type WorkingSource, figureFirst, useWorking } from "@/ui/kit/working/working-store";
import { DataTable } from "@/ui/kit/tables/DataTable";

type Loaded = { readonly steps: readonly WorkingStep[] } | { readonly fault: string };

/** How a figure comes about: symbol, meaning, formula, value and source of every step, to copy or print. */
export function WorkingPanel() {
  const { request, close } = useWorking();
  const units = useUnits((state) => state.units);
  const loaded = useSteps(request);
  const steps = loaded && "steps" in loaded ? figureFirst(loaded.steps, request?.figure ?? "") : [];
  const text = () =>
    [
      request?.title ?? "",
      ...steps.map((step) =>
        [
          step.symbol,
          step.meaning,
          step.formula,
          stepValue(step, units).shown,
          stepValue(step, units).si ?? "",
          step.source,
        ]
          .filter(Boolean)
          .join("\t"),
      ),
    ].join("\n");
  return (
    <Dialog.Root open={request !== null} onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[#0b0e13]/25" />
        <Dialog.Content
          className="print-sheet fixed inset-y-0 right-0 z-50 flex w-[720px] max-w-[94vw] flex-col border-l border-ink2 bg-sheet"
          aria-describedby={undefined}
        >
          <div className="flex items-center gap-2 border-b border-rule px-5 py-3">
            <Dialog.Title className="mr-auto text-lg font-bold">{request?.title}: the working</Dialog.Title>
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() =>
                void navigator.clipboard.writeText(text()).then(
                  () => toast("The working is on the clipboard."),
                  () => toast("The browser does not let the page use the clipboard."),
                )
              }
            >
              <Copy size={15} aria-hidden="true" /> Copy
            </button>
            <button type="button" className="btn btn-quiet" onClick={() => window.print()}>
              <Printer size={15} aria-hidden="true" /> Print
            </button>
            <Dialog.Close className="rounded p-1 hover:bg-mark" aria-label="Close">
              <X size={18} aria-hidden="true" />
            </Dialog.Close>
          </div>
          <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Steps">
            {!loaded && <p className="text-ink2">Computing …</p>}
            {loaded && "fault" in loaded && (
              <p role="alert" className="text-brick">
                {loaded.fault}
              </p>
            )}
            {steps.length > 0 && <Steps steps={steps} figure={request?.figure ?? ""} />}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Steps({ steps, figure }: { steps: readonly WorkingStep[]; figure: string }) {
  const units = useUnits((state) => state.units);
  const own = steps.some((step) => step.figure === figure);
  return (
    <DataTable
      headClassName="[&_th]:py-1 [&_tr]:border-b [&_tr]:border-ink2"
      rows={steps}
      rowKey={(_, i) => i}
      rowProps={(step, i) => ({
        className: `align-top ${i > 0 && steps[i - 1].figure !== step.figure ? "border-ink2" : ""} ${own && step.figure === figure ? "bg-mark" : ""}`,
      })}
      columns={[
        { name: "Symbol", tone: () => "num whitespace-nowrap", cell: (step) => step.symbol },
        {
          name: "Meaning and formula",
          kind: "words",
          className: "py-1",
          cell: (step) => (
            <>
              {step.meaning}
              {step.formula && <span className="num block text-ink2">{step.formula}</span>}
              <span className="block text-[13px] text-ink2">{step.source}</span>
            </>
          ),
        },
        { name: "Value", cell: (step) => stepValue(step, units).shown },
        { name: "SI", cell: (step) => stepValue(step, units).si, tone: () => "text-ink2" },
      ]}
    />
  );
}

async function stepsFrom(source: WorkingSource): Promise<Loaded> {
  if ("ask" in source) {
    const outcome = await askCore("long", source.ask);
    return outcome.ok ? { steps: outcome.value } : { fault: outcome.issue.message };
  }
  const { name, input } = source.calculation;
  const result = await askCore("long", async (core) => core.calculate(name, input));
  if (result.ok) return { steps: (result.value as { working: WorkingStep[] }).working };
  return { fault: result.issues.map((issue: Issue) => issue.message).join(" ") };
}

/** Asks for the steps; null while they are being computed. */
function useSteps(request: WorkingRequest | null): Loaded | null {
  const [loaded, setLoaded] = useState<{ request: WorkingRequest; value: Loaded } | null>(null);
  useEffect(() => {
    if (!request) return;
    let stale = false;
    stepsFrom(request.source)
      .catch((error: unknown) => ({ fault: `The computation failed: ${String(error)}` }))
      .then((value) => !stale && setLoaded({ request, value }));
    return () => {
      stale = true;
    };
  }, [request]);
  return loaded && loaded.request === request ? loaded.value : null;
}
