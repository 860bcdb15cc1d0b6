import { Quantities, quantitiesOf } from "./quantities";
import { fail, ok, type Issue, type Issues, type Result } from "../shared/issue";
import { parseWith } from "../shared/parse";
import { parseProblem, type Problem } from "../schedule/problem";
import { Budget, type Progress } from "../schedule/budget";
import { guessAt } from "../schedule/construct/schedule";
import { Solver } from "../schedule/solver";
import type { Solution } from "../schedule/solution";
import { batchesOf } from "../batching/batches";
import { expand, type Expansion } from "./expand/expand";
import { suits } from "../gathering/headcount";
import type { Note, PieceCount, Plan } from "./plan";
import { loadsIn, lotsIn, oilNotes, servesIn } from "./read";
import { RequestSchema, type PlanRequest } from "./request";
import { requestIssues } from "./request-check";
import { strategies, type Strategy } from "../batching/strategy";

/** Reads a request and checks what its fields say about each other. */
export function parseRequest(input: unknown): Result<PlanRequest> {
  const parsed = parseWith(RequestSchema, input);
  if (!parsed.ok) return parsed;
  const issues: Issue[] = requestIssues(parsed.value);
  return issues.length > 0 ? fail(...(issues as unknown as Issues)) : ok(parsed.value);
}

const samePieces = (a: readonly PieceCount[], b: readonly PieceCount[]): boolean =>
  a.length === b.length &&
  a.every((count, k) => count.for === b[k].for && count.item === b[k].item && count.pieces === b[k].pieces);

export interface PlanOptions {
  readonly now: () => number;
  /** A plan to go on from: where the request has the same tasks, its order is the first that is tried. */
  readonly from?: Plan;
  /** Told of every better plan on the way. */
  readonly better?: (plan: Plan) => void;
  readonly progress?: (state: Progress) => boolean | void;
}

/** Time that a way of dividing the work gets for a first schedule before another has its turn, ms. */
const TURN_MS = 1200;
/** Repairs in a row that may come to nothing before a plan to go on from is given up. */
const MENDS = 20;
/** Share of a short time limit that the plain way has to itself first. */
const FIRST_SHARE = 0.8;
/** The same in steps, where no clock limits the search. */
const TURN_STEPS = 150;

/** A first plan, or a refusal, which `options.better` is told of; and what makes it better, where it can be made better. */
export interface Begun {
  readonly plan: Plan;
  readonly improve?: () => Plan;
}

/** The whole pipeline: a first plan, made better as long as the limits of the request allow. */
export function makePlan(request: PlanRequest, options: PlanOptions): Plan {
  const { plan, improve } = beginPlan(request, options);
  return improve ? improve() : plan;
}

/**
 * Counts, quantities, problem, first schedule, plan. Where the rules leave a choice of carriers and parts, ways are tried
 * in turn until one has a timetable, the plain one every other time; with an iteration limit and no time limit the result
 * depends on the request alone.
 */
export function beginPlan(request: PlanRequest, options: PlanOptions): Begun {
  const q = quantitiesOf(request);
  if (q.limits.length > 0) return { plan: refuse(request, q, q.limits) };
  if (q.expansion.workload.works.length === 0) return { plan: assemble(request, q, q.expansion, emptySolution()) };
  const { seconds, seed, iterations } = request.solve;
  const limit = seconds === undefined ? Infinity : options.now() + seconds * 1000;
  const left = () => (limit - options.now()) / 1000;
  let cancelled = false;
  const progress = (state: Progress): boolean => {
    cancelled ||= options.progress?.(state) === false;
    return !cancelled;
  };
  const either = [...new Set(q.expansion.workload.works.filter((w) => w.step.equipment.some((e) => e.or)).map((w) => w.item.id))];
  const ways = strategies(either).map(
    (strategy, i) => new Way(request, q, i === 0 ? q.expansion : undefined, strategy, (seed ?? 1) + i),
  );
  const begun = (way: Way): Begun => {
    const plan = () => assemble(request, q, way.expansion, way.solver.solution(), way.problem);
    const first = plan();
    options.better?.(first);
    const improve = () => {
      const limits = seconds === undefined ? { iterations } : { seconds: left(), iterations: iterations ?? Infinity };
      way.solver.improve(new Budget({ now: options.now, progress, ...limits }), () => options.better?.(plan()));
      return plan();
    };
    return { plan: first, improve };
  };
  // Other counts are other tasks: then there is no use in expanding every way to find that out.
  const { from } = options;
  const goesOn = from && samePieces(from.pieces, q.pieces);
  const known = goesOn && ways.find((way) => way.goesOnFrom(from, new Budget({ now: options.now, progress, seconds: 1 })));
  if (known) return begun(known);
  const turns = seconds === undefined ? 3 * ways.length : Infinity;
  for (let turn = 0, next = 1; turn < turns && !cancelled && left() > 0; turn++) {
    const open = ways.filter((way) => !way.ruledOut);
    if (open.length === 0) break;
    const plainsTurn = turn % 2 === 0 && !ways[0].ruledOut;
    const way = plainsTurn ? ways[0] : open[next++ % open.length];
    const clock =
      seconds === undefined
        ? { passes: TURN_STEPS }
        : {
            seconds: left(),
            firstBy:
              options.now() +
              Math.min(
                1000 * left(),
                turn === 0 ? Math.max(TURN_MS, Math.min(3 * TURN_MS, 1000 * FIRST_SHARE * left())) : TURN_MS,
              ),
          };
    const found = way.solver.findFirst(new Budget({ now: options.now, progress, ...clock }));
    // Windows that admit nothing stay empty however the work is divided on carriers.
    if (found === "none" && way.solver.refusal().proof === "windows") break;
    if (found === "none") way.ruledOut = true;
    if (found !== "found") continue;
    return begun(way);
  }
  return { plan: refuse(request, q, ways[0].solver.refusal().why) };
}

/** One way of dividing the work, expanded and searched only when its turn comes. */
class Way {
  ruledOut = false;
  private made: { expansion: Expansion; problem: Problem; solver: Solver } | undefined;

  constructor(
    private readonly request: PlanRequest,
    private readonly q: Quantities,
    private readonly expanded: Expansion | undefined,
    private readonly strategy: Strategy,
    private readonly seed: number,
  ) {}

  private get all() {
    if (this.made) return this.made;
    const expansion = this.expanded ?? expand(this.request, this.q.days, this.q.demands, this.strategy);
    const parsed = parseProblem(expansion.problem);
    if (!parsed.ok) throw new Error(`the planner made a problem that breaks the format: ${JSON.stringify(parsed.issues[0])}`);
    return (this.made = { expansion, problem: parsed.value, solver: new Solver(parsed.value, this.seed) });
  }
  /** Takes over the order of a plan with the same tasks; false where there is none to take over. */
  goesOnFrom(plan: Plan, budget: Budget): boolean {
    const guess = guessAt(this.problem, plan.solution);
    return guess !== undefined && (this.solver.keepOrder(guess) || this.solver.mend(guess, budget, MENDS));
  }
  get expansion(): Expansion {
    return this.all.expansion;
  }
  get problem(): Problem {
    return this.all.problem;
  }
  get solver(): Solver {
    return this.all.solver;
  }
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
