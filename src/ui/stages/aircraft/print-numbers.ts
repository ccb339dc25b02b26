import { createElement } from "react";
import { toast } from "sonner";
import { fileName } from "@/ui/kit/download";
import type { NumbersCardContent } from "./NumbersCardPdf";

/** Makes the PDF of a numbers card; what makes it is large and comes when it is asked for. */
export function printNumbers(content: NumbersCardContent, name: string): void {
  void Promise.all([import("@/ui/kit/print/make-pdf"), import("./NumbersCardPdf")])
    .then(([{ makePdf }, { NumbersCardPdf }]) =>
      makePdf(createElement(NumbersCardPdf, { content }), `numbers-${fileName(name)}.pdf`),
    )
    .catch(() => toast("The card could not be made. Try again."));
}
