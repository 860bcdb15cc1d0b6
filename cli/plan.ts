// One plan on standard output for a request file: gathering, items and kitchen in, quantities, problem and solution out.
import { planDocument } from "@/core/plan/document";
import { makePlan, planWithoutTimetable } from "@/core/plan/pipeline";
import { parseRequest } from "@/core/plan/request-check";
import type { Plan } from "@/core/plan/schema";
import { jsonOf, readText, refuse, valueOrRefuse } from "./common";
import { inTime } from "./in-time";

/** Time for a request that names neither seconds nor iterations, s. */
const DEFAULT_SECONDS = 10;
/** More than a hundred items with all their steps, bytes. */
const MOST_BYTES = 12_000_000;

const text = (plan: Plan): string => `${JSON.stringify(planDocument(plan), null, 1)}\n`;

inTime({
  read() {
    const files = process.argv.slice(2);
    const flag = files.find((file) => file.startsWith("--"));
    if (flag) refuse(`${flag} is not an option; expected one request file`);
    if (files.length > 1) refuse(`${files[1]} is one file too many; expected one request`);
    const file = files[0] ?? "-";
    return { file, written: readText(file, "a JSON file", MOST_BYTES) };
  },
  work({ file, written }, watch) {
    const request = valueOrRefuse(parseRequest(jsonOf(written, file)));
    const { seconds, iterations } = request.solve;
    const limit = seconds ?? (iterations === undefined ? DEFAULT_SECONDS : undefined);
    if (limit !== undefined) watch.limit(limit);
    watch.soFar(() => text(planWithoutTimetable(request)));
    const left = limit === undefined ? {} : { seconds: watch.limit(limit) };
    return text(
      makePlan(
        { ...request, solve: { ...request.solve, ...left } },
        { now: watch.now, better: (plan) => watch.soFar(() => text(plan)) },
      ),
    );
  },
});
