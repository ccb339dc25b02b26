import type { MetadataRoute } from "next";

/** What makes it installable. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: "Utrimax",
    short_name: "Utrimax",
    description: "Plans, rehearses and debriefs engine failures. The flight manual comes first.",
    start_url: "/landing",
    display: "standalone",
    background_color: "#f4f1ea",
    theme_color: "#1d5c87",
    icons: [
      { src: "/icon.svg", sizes: "any", type: "image/svg+xml", purpose: "any" },
      { src: "/icon.svg", sizes: "any", type: "image/svg+xml", purpose: "maskable" },
    ],
  };
}
