// Where a day stands on standard output, for a plan and what happened: what each cook does now, clocks, warnings, the rest planned again.
import { runDocument } from "@/core/run/document";
import { EventsSchema } from "@/core/run/events";
import { minuteReader } from "@/core/run/clock";
import { PlanSchema } from "@/core/plan/schema";
import { parseKnown, parseWith } from "@/core/shared/parse";
import { print, readJson, refuse, valueOrRefuse } from "./common";

const MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d(?::\d\d(?:\.\d+)?)?Z$/;

const args = process.argv.slice(2);
const option = args.indexOf("--at");
const at = option < 0 ? undefined : (args[option + 1] ?? "");
const files = option < 0 ? args : args.filter((_, k) => k !== option && k !== option + 1);
const flag = files.find((file) => file.startsWith("--"));
if (flag) refuse(`${flag} is not an option; expected two files, plan.json events.json, and perhaps --at with a moment in UTC`);
if (files.length !== 2) refuse(`${files.length} files are named; expected two: plan.json events.json`);
if (at !== undefined && !(MOMENT.test(at) && Number.isFinite(Date.parse(at))))
  refuse(`--at is ${JSON.stringify(at)}; expected a moment in UTC, such as 2026-12-05T17:04:00Z`);
const plan = valueOrRefuse(parseKnown(PlanSchema, readJson(files[0])), "plan: ");
const events = valueOrRefuse(parseWith(EventsSchema, readJson(files[1])), "events: ");
if (plan.solution.tasks.length === 0) refuse("plan.solution.tasks is empty; expected a plan that has a timetable");
const now = at === undefined ? undefined : Math.floor(minuteReader(plan)(at, events[0]?.zone));
const run = runDocument(plan, events, now);
print(`${JSON.stringify(run, null, 1)}\n`, 0);
