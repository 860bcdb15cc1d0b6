// Runs one of our TypeScript entry points under Node: bundles it with esbuild into a cache and imports the result.
// Usage: node scripts/run.mjs cli/solve.ts [arguments of the program]
import { installPackages, checkNode } from "./setup.mjs";
import { mkdirSync, readdirSync, rmSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";

const root = resolve(dirname(fileURLToPath(import.meta.url)), "..");
const [entry, ...rest] = process.argv.slice(2);
const cache = join(root, "node_modules", ".cache", "unisynth");
const outfile = join(cache, entry.replace(/[\\/]/g, "-").replace(/\.tsx?$/, `-${process.pid}.mjs`));

/** A program that broke down says so in one line; whoever looks for the fault asks for the whole with UNISYNTH_DEBUG. */
function breakDown(error) {
  const line = String(error?.message ?? error).replace(/\s+/g, " ");
  process.stderr.write(process.env.UNISYNTH_DEBUG ? `${error?.stack}\n` : `this is a fault of the program: ${line}\n`);
  process.exit(70);
}
process.on("uncaughtException", breakDown);
process.on("unhandledRejection", breakDown);

/** What a program left behind that was killed. */
function sweep() {
  for (const name of readdirSync(cache)) {
    const pid = Number(/-(\d+)\.mjs$/.exec(name)?.[1]);
    if (!Number.isInteger(pid)) continue;
    try {
      process.kill(pid, 0);
    } catch {
      rmSync(join(cache, name), { force: true });
    }
  }
}

checkNode();
installPackages();
const { build } = await import("esbuild");
mkdirSync(cache, { recursive: true });
sweep();
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
process.on("exit", () => rmSync(outfile, { force: true }));
await import(pathToFileURL(outfile).href);
