import { withSerwist } from "@serwist/turbopack";
import type { NextConfig } from "next";

const config: NextConfig = {
  turbopack: { root: import.meta.dirname },
  // The type check is a step of its own (npm run typecheck).
  typescript: { ignoreBuildErrors: true },
  // A thread takes its loader for TypeScript from there as it runs.
  serverExternalPackages: ["mysql2", "tsx", "@node-rs/argon2"],
  poweredByHeader: false,
  // It answers this machine alone (bin/start binds to loopback), where packing costs more than it saves.
  compress: false,
  headers: async () => [
    {
      source: "/:path*",
      headers: [
        { key: "X-Content-Type-Options", value: "nosniff" },
        { key: "Referrer-Policy", value: "same-origin" },
      ],
    },
  ],
};

export default withSerwist(config);
