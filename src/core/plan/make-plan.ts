import { fail, ok, type Issue, type Issues, type Result } from "../shared/issue";
import { parseWith } from "../shared/parse";
import { parseProblem, type Problem } from "../schedule/problem";
import { solve, type Progress } from "../schedule/solve";
import type { Solution } from "../schedule/solution";
import { batchesOf, type Batch } from "./batches";
import { planDays, type PlanDays } from "./days";
import { demandsOf, type Demand } from "./demands";
import { expand, type Expansion } from "./expand";
import { suits, type HeadcountAnswer } from "./headcount";
import { holdLimits } from "./limits";
import type { Note, PieceCount, Plan } from "./plan";
import { loadsIn, lotsIn, oilNotes, servesIn } from "./read";
import { RequestSchema, type PlanRequest } from "./request";
import { requestIssues } from "./request-check";
import { PLAIN, strategies } from "./strategy";

/** Reads a request and checks what its fields say about each other. */
export function parseRequest(input: unknown): Result<PlanRequest> {
  const parsed = parseWith(RequestSchema, input);
  if (!parsed.ok) return parsed;
  const issues: Issue[] = requestIssues(parsed.value);
  return issues.length > 0 ? fail(...(issues as unknown as Issues)) : ok(parsed.value);
}

/** The part of a plan that needs no timetable: at hand at once, while the cook types. */
export interface Quantities {
  readonly days: PlanDays;
  readonly demands: readonly Demand[];
  readonly headcount: HeadcountAnswer;
  readonly pieces: readonly PieceCount[];
  readonly batches: readonly Batch[];
  readonly expansion: Expansion;
  /** Sentences that already prove that there is no timetable. */
  readonly limits: readonly string[];
}

export function quantitiesOf(request: PlanRequest): Quantities {
  const days = planDays(request);
  const { demands, headcount } = demandsOf(request, days);
  const expansion = expand(request, days, demands, PLAIN);
  const limits = [...expansion.blockers, ...holdLimits(demands, request.kitchen)];
  return {
    days,
    demands,
    headcount,
    pieces: piecesOf(demands, headcount),
    batches: batchesOf(expansion.workload.groups, demands),
    expansion,
    limits,
  };
}

function piecesOf(demands: readonly Demand[], headcount: HeadcountAnswer): PieceCount[] {
  return demands.map((demand) => {
    const count = headcount.counts.find((c) => c.wave === demand.for && c.recipe === demand.item.id);
    const pieces = demand.range[1] - demand.range[0];
    const whole = count?.pieces === pieces;
    return {
      for: demand.for,
      item: demand.item.id,
      variant: demand.resolved.filling,
      needed: whole ? (count?.needed ?? null) : null,
      pieces,
      range: demand.range,
    };
  });
}

export interface PlanOptions {
  readonly now: () => number;
  /** Told of every better plan on the way. */
  readonly better?: (plan: Plan) => void;
  readonly progress?: (state: Progress) => boolean | void;
}

/** Share of the time that a way of dividing the work gets before the next is tried, ms, growing round by round. */
const TURN_MS = 500;

/**
 * The whole pipeline: counts, quantities, problem, solution, plan. Where the rules leave a choice of carriers and
 * parts, ways are tried in turn until one has a timetable; with an iteration limit and no time limit the result
 * depends on the request alone.
 */
export function makePlan(request: PlanRequest, options: PlanOptions): Plan {
  const q = quantitiesOf(request);
  if (q.limits.length > 0) return refuse(request, q, q.limits);
  if (q.expansion.workload.works.length === 0) return assemble(request, q, q.expansion, emptySolution());
  const { seconds, seed, iterations } = request.solve;
  const started = options.now();
  const limitMs = seconds === undefined ? Infinity : seconds * 1000;
  const left = () => limitMs - (options.now() - started);
  const either = [...new Set(q.expansion.workload.works.filter((w) => w.step.equipment.some((e) => e.or)).map((w) => w.item.id))];
  const ways = strategies(either);
  const expansions = new Map([[0, q.expansion]]);
  const deterministic = seconds === undefined;
  let why: readonly string[] = [];
  let cancelled = false;
  for (let turn = 0; turn < (deterministic ? ways.length * 2 : 1000) && !cancelled; turn++) {
    const way = turn % ways.length;
    if (!expansions.has(way)) expansions.set(way, expand(request, q.days, q.demands, ways[way]));
    const expansion = expansions.get(way)!;
    const parsed = parseProblem(expansion.problem);
    if (!parsed.ok) throw new Error(`the planner made a problem that breaks the format: ${JSON.stringify(parsed.issues[0])}`);
    if (left() <= 0) break;
    const round = 1 + Math.floor(turn / ways.length);
    let found = false;
    const solution = solve(parsed.value, {
      now: options.now,
      seed: (seed ?? 1) + turn,
      iterations: iterations ?? (deterministic ? undefined : Infinity),
      dives: deterministic ? 150 * round : undefined,
      firstBy: deterministic ? undefined : options.now() + Math.min(left(), TURN_MS * round),
      seconds: deterministic ? undefined : left() / 1000,
      better: (better) => {
        found = true;
        options.better?.(assemble(request, q, expansion, better));
      },
      progress: (state) => {
        if (options.progress?.(state) !== false) return true;
        cancelled = true;
        return false;
      },
    });
    if (found || solution.status !== "infeasible") return assemble(request, q, expansion, solution, parsed.value);
    if (way === 0) why = solution.why;
    // Windows that admit nothing stay empty however the work is divided on carriers.
    if (turn === 0 && solution.proven) return refuse(request, q, why);
  }
  return refuse(
    request,
    q,
    why.length > 0 ? why : ["No timetable was found in the time given; it is not proven that there is none."],
  );
}

const emptySolution = (): Solution => ({
  format: "unisynth-solution/1",
  status: "optimal",
  cost: 0,
  bound: 0,
  tasks: [],
  why: [],
});

const refuse = (request: PlanRequest, q: Quantities, why: readonly string[]): Plan =>
  assemble(request, q, q.expansion, { ...emptySolution(), status: "infeasible", why: [...why] });

function assemble(request: PlanRequest, q: Quantities, expansion: Expansion, found: Solution, problem?: Problem): Plan {
  const solution: Solution = {
    format: found.format,
    status: found.status,
    cost: found.cost,
    bound: found.bound,
    tasks: found.tasks,
    why: found.why,
  };
  const parsed = problem ? ({ ok: true, value: problem } as const) : parseProblem(expansion.problem);
  return {
    format: "unisynth-plan/1",
    origin: `${q.days.originDate}T00:00`,
    pieces: q.pieces,
    batches: expansion === q.expansion ? q.batches : batchesOf(expansion.workload.groups, q.demands),
    lots: lotsIn(expansion),
    loads: loadsIn(expansion, solution),
    problem: parsed.ok
      ? parsed.value
      : { format: "unisynth-problem/1", horizon: 0, resources: [], tasks: [], costs: { makespan: 0, span: 0 } },
    solution,
    tasks: Object.fromEntries(expansion.info),
    serves: servesIn(expansion, q.demands, solution),
    notes: [...dietNotes(request, q), ...oilNotes(expansion, solution)],
  };
}

/** A note for each wave in which some guests have nothing to eat. */
function dietNotes(request: PlanRequest, { headcount, demands }: Quantities): Note[] {
  return request.gathering.waves.flatMap((wave) => {
    const inWave = demands.filter((demand) => demand.for === wave.id);
    const hungry = request.gathering.guests.filter((g) => g.count > 0 && !inWave.some((demand) => suits(g, demand.resolved)));
    const count = hungry.reduce((sum, g) => sum + g.count, 0);
    if (count === 0 || headcount.unserved.length === 0) return [];
    const who = hungry.map((g) => [...g.diet, ...g.avoid.map((a) => `no ${a}`)].join(", ")).join("; ");
    return [
      {
        level: "caution" as const,
        code: "unserved-diet",
        about: [wave.id, ...inWave.map((demand) => demand.item.id)],
        text: `${wave.name}: ${count} ${count === 1 ? "guest has" : "guests have"} nothing to eat (${who}).`,
      },
    ];
  });
}
