import type { Metadata, Viewport } from "next";
import type { ReactNode } from "react";
import { APPEARANCE_SCRIPT } from "@/ui/kit/appearance/appearance";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: "Utrimax", template: "%s · Utrimax" },
  description:
    "Plans, rehearses and debriefs engine failures. A planning, training and debriefing aid; the flight manual comes first.",
};

export const viewport: Viewport = { width: "device-width", initialScale: 1 };

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    // The appearance is set before the first paint, so the server's markup differs from the browser's in that
    // attribute.
    <html lang="en" suppressHydrationWarning>
      <head>
        <script dangerouslySetInnerHTML={{ __html: APPEARANCE_SCRIPT }} />
      </head>
      <body>{children}</body>
    </html>
  );
}
