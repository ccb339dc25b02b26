import type { NextConfig } from "next";

/** What every answer carries: no framing, no guessing of types, nothing loaded from elsewhere. */
const SECURITY_HEADERS = [
  { key: "X-Content-Type-Options", value: "nosniff" },
  { key: "X-Frame-Options", value: "DENY" },
  { key: "Referrer-Policy", value: "same-origin" },
  { key: "Permissions-Policy", value: "camera=(), microphone=(), geolocation=(self)" },
];

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  serverExternalPackages: ["@node-rs/argon2", "mysql2", "pino", "piscina", "rotating-file-stream"],
  headers: async () => [{ source: "/:path*", headers: SECURITY_HEADERS }],
};

export default config;
