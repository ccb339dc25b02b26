"use client";
import { ErrorNotice } from "@/ui/kit/page/ErrorNotice";
import "./globals.css";

export default function GlobalError(props: { error: Error; reset: () => void }) {
  return (
    <html lang="en">
      <body>
        <ErrorNotice {...props} />
      </body>
    </html>
  );
}
