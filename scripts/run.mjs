// Runs one of our TypeScript entry points under Node: bundles it with esbuild into a cache and imports the result.
// Usage: node scripts/run.mjs cli/solve.ts [arguments of the program]
import { installPackages, checkNode } from "./setup.mjs";
import { mkdirSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";

const root = resolve(dirname(fileURLToPath(import.meta.url)), "..");
const [entry, ...rest] = process.argv.slice(2);
const outfile = join(
  root,
  "node_modules",
  ".cache",
  "unisynth",
  entry.replace(/[\\/]/g, "-").replace(/\.tsx?$/, `-${process.pid}.mjs`),
);
checkNode();
installPackages();
const { build } = await import("esbuild");
mkdirSync(dirname(outfile), { recursive: true });
await build({
  entryPoints: [join(root, entry)],
  outfile,
  bundle: true,
  platform: "node",
  format: "esm",
  target: "node20",
  packages: "external",
  logLevel: "error",
  tsconfig: join(root, "tsconfig.json"),
  sourcemap: "inline",
});
process.argv = [process.argv[0], outfile, ...rest];
process.on("exit", async () => {
  const { rmSync } = await import("node:fs");
  rmSync(outfile, { force: true });
});
await import(pathToFileURL(outfile).href);
