import type { Metadata, Viewport } from "next";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { APPEARANCE_SCRIPT } from "@/ui/kit/appearance/appearance";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: "Utrimax", template: "%s · Utrimax" },
  description:
    "Plans, rehearses and debriefs engine failures. A planning, training and debriefing aid; the flight manual comes first.",
};

export const viewport: Viewport = { width: "device-width", initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const front = await headers();
  return (
    // The appearance is set before the first paint, so the server's markup differs from the browser's in that
    // attribute.
    <html lang="en" suppressHydrationWarning>
      <head>
        {/* The browser hides the nonce from scripts, so the markup differs in it too. */}
        <script
          nonce={front.get("x-nonce") ?? undefined}
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: APPEARANCE_SCRIPT }}
        />
        <meta name="request-number" content={front.get("x-request-id") ?? ""} />
      </head>
      <body>{children}</body>
    </html>
  );
}
