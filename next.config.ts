import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["better-sqlite3"],
  poweredByHeader: false,
  devIndicators: false,
  // As much as the door lets in: plans come in pieces.
  experimental: { serverActions: { bodySizeLimit: "2mb" } },
  outputFileTracingIncludes: { "/*": ["./src/db/migrations/**/*"] },
};

export default config;
