// Runs vector files against the core: a line for each failed case and unknown method, last "N passed, N failed".
import { z } from "zod";
import { METHODS } from "@/core/methods/methods";
import type { Result } from "@/core/shared/issue";
import { pathText } from "@/core/shared/issue-text";
import { parseWith } from "@/core/shared/parse";
import { print, readJson, refuse, valueOrRefuse } from "./common";

const FileSchema = z.object({
  method: z.string().min(1),
  cases: z.array(
    z.object({ in: z.record(z.string(), z.unknown()), out: z.unknown(), tolerance: z.number().min(0).default(1e-6) }),
  ),
});

const args = process.argv.slice(2);
const asJson = args[0] === "--json";
const files = asJson ? args.slice(1) : args;
if (files.length === 0) refuse("no file is named; expected one or more vector files");

const agrees = (got: unknown, want: unknown, tolerance: number): boolean => {
  if (typeof want === "number") return typeof got === "number" && Math.abs(got - want) <= tolerance * Math.max(1, Math.abs(want));
  if (want === null || typeof want !== "object") return got === want;
  if (got === null || typeof got !== "object" || Array.isArray(got) !== Array.isArray(want)) return false;
  const keys = (o: object) => Object.keys(o).filter((key) => (o as Record<string, unknown>)[key] !== undefined);
  return (
    keys(got).length === keys(want).length &&
    keys(want).every((key) => agrees((got as Record<string, unknown>)[key], (want as Record<string, unknown>)[key], tolerance))
  );
};

const answerOf = (result: Result<unknown>): unknown =>
  result.ok ? result.value : { error: { code: result.issues[0].code, field: pathText(result.issues[0].path) } };

const lines: string[] = [];
let passed = 0;
let failed = 0;
for (const file of files) {
  const { method: name, cases } = valueOrRefuse(parseWith(FileSchema, readJson(file)), `${file}: `);
  const method = METHODS[name];
  if (!method && !asJson) lines.push(`skipped ${name} (${cases.length} cases)`);
  cases.forEach((one, index) => {
    let got: unknown;
    try {
      got = method ? answerOf(method(one.in)) : undefined;
    } catch (error) {
      got = { thrown: String(error) };
    }
    if (asJson) lines.push(JSON.stringify({ file, method: name, case: index, ...(method ? { got } : { skipped: true }) }));
    const good = method !== undefined && agrees(got, one.out, one.tolerance);
    if (good) passed++;
    else failed++;
    if (!good && method && !asJson)
      lines.push(`${name} case ${index}: wanted ${JSON.stringify(one.out)}, got ${JSON.stringify(got)}`);
  });
}
if (!asJson) lines.push(`${passed} passed, ${failed} failed`);
print(lines.map((line) => `${line}\n`).join(""), failed > 0 ? 1 : 0);
