// One plan on standard output for a request file: gathering, items and kitchen in, quantities, problem and solution out.
import { planDocument } from "@/core/plan/document";
import { makePlan } from "@/core/plan/pipeline";
import { parseRequest } from "@/core/plan/request-check";
import { print, readJson, refuse, valueOrRefuse } from "./common";

/** Time for a request that names neither seconds nor iterations, s. */
const DEFAULT_SECONDS = 10;

const files = process.argv.slice(2);
if (files.length > 1) refuse(`${files[1]} is one file too many; expected one request`);
const request = valueOrRefuse(parseRequest(readJson(files[0] ?? "-")));
const limited = request.solve.seconds !== undefined || request.solve.iterations !== undefined;
const plan = makePlan(limited ? request : { ...request, solve: { ...request.solve, seconds: DEFAULT_SECONDS } }, {
  now: () => performance.now(),
});
print(`${JSON.stringify(planDocument(plan), null, 1)}\n`);
