import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["better-sqlite3"],
  poweredByHeader: false,
  devIndicators: false,
  // A kept plan of a very large day is a few megabytes.
  experimental: { serverActions: { bodySizeLimit: "16mb" } },
  outputFileTracingIncludes: { "/*": ["./src/db/migrations/**/*"] },
};

export default config;
