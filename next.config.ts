import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["better-sqlite3"],
  poweredByHeader: false,
  devIndicators: false,
  outputFileTracingIncludes: { "/*": ["./src/db/migrations/**/*"] },
};

export default config;
