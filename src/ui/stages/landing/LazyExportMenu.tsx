"use client";
import { Download } from "lucide-react";
import dynamic from "next/dynamic";

/** Menus are large: this one comes after the first view, and its button stands there meanwhile. */
export const LazyExportMenu = dynamic(() => import("./ExportMenu").then((module) => module.ExportMenu), {
  ssr: false,
  loading: () => (
    <button type="button" className="btn btn-quiet whitespace-nowrap" disabled>
      <Download size={15} aria-hidden="true" /> Export
    </button>
  ),
});
