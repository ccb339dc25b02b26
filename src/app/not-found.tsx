import type { Metadata } from "next";
import { Notice } from "@/ui/kit/page/Notice";

export const metadata: Metadata = { title: "No such page" };

export default function NotFound() {
  return (
    <Notice title="There is no page here.">
      <p>The address may have been typed wrongly, or the page has moved.</p>
    </Notice>
  );
}
