import { servedIn } from "@/core/gathering/served";
import { suits } from "@/core/item/claims";
/**
 * The eight rules that hold for every plan, checked from the request and the finished plan alone. For tests: it shares
 * the reading of items (options, variants) with the planner and nothing else.
 */
import { capacitiesOf, isCarrier, type Room } from "@/core/kitchen/capacity";
import { planDays } from "@/core/gathering/calendar";
import { roomAt } from "@/core/kitchen/room";
import type { Step } from "@/core/item/step";
import type { Plan } from "@/core/plan/schema";
import { type PlanRequest } from "@/core/plan/request";
import { paceOf } from "@/core/kitchen/pace";
import { keptWarm } from "@/core/item/keep-warm";
import { resolveItem, throughStep, type ResolvedItem } from "@/core/item/resolve";
import { verify } from "@/core/schedule/verify";

type Range = readonly [number, number];
const meets = (a: Range, b: Range) => a[0] < b[1] && b[0] < a[1];
const HEATED = ["bake", "blind-bake", "steam", "fry", "pan-fry", "reheat"];
const SMALL = ["scale", "probe", "rolling-pin", "piping-bag", "worktop"];

interface Done {
  readonly id: string;
  readonly step: Step;
  readonly range: Range;
  readonly start: number;
  readonly end: number;
  readonly taken: readonly string[];
  readonly demand: DemandView;
}

interface DemandView {
  readonly for: string;
  readonly item: string;
  readonly range: Range;
  readonly choices: Readonly<Record<string, string>>;
  readonly resolved: ResolvedItem;
  readonly path: string;
  readonly done: ReadonlySet<string>;
  readonly by: number;
}

/** Sentences for all that a plan breaks; empty when it keeps the eight rules. */
export function brokenRules(request: PlanRequest, plan: Plan): string[] {
  if (plan.solution.status === "infeasible") return plan.refusal.length > 0 ? [] : ["1: infeasible without a reason"];
  const demands = demandViews(request, plan);
  const works = worksOf(request, plan, demands);
  return [
    ...verify(plan.problem, plan.solution).map((v) => `1: ${v.text}`),
    ...eachPieceOnce(plan, demands),
    ...gaps(request, works),
    ...durations(request, plan, works),
    ...cooks(request, plan, works),
    ...capacities(request, plan, works),
    ...equipment(request, plan, works),
    ...chambers(request, plan, works),
    ...grams(plan, demands),
    ...serving(request, plan, demands, works),
    ...diets(request, plan, demands),
  ];
}

function demandViews(request: PlanRequest, plan: Plan): DemandView[] {
  const days = planDays(request);
  return plan.pieces.map((count, at): DemandView => {
    const item = request.items.find((i) => i.id === count.item)!;
    const wave = request.gathering.waves.find((w) => w.id === count.for);
    const entry = wave?.items.find((i) => i.recipe === item.id) ?? request.gathering.freezer.find((f) => f.recipe === item.id)!;
    const before = plan.pieces.slice(0, at).filter((other) => other.for === count.for && other.item === count.item).length;
    const choices = { ...entry.choices, ...entry.split?.[before]?.choices };
    const made = resolveItem(item, choices, count.variant);
    const isWarm = wave && "keepWarm" in entry && entry.keepWarm;
    const resolved = isWarm ? { ...made, steps: keptWarm(made.steps) } : made;
    const through = request.gathering.doneAhead
      .filter((a) => a.recipe === item.id && count.range[0] < (a.pieces ?? Infinity))
      .map((a) => a.through);
    const frozen = wave && through.some((id) => ["freeze", "bag"].includes(resolved.steps.find((s) => s.id === id)?.kind ?? ""));
    const freezer = request.gathering.freezer.find((f) => f.recipe === item.id);
    return {
      for: count.for,
      item: item.id,
      range: count.range,
      choices,
      resolved,
      path: wave ? (frozen ? "from-freezer" : "fresh") : "freezer",
      done: new Set(through.flatMap((id) => [...throughStep(resolved.steps, id)])),
      by: wave ? days.minute(0, wave.time) : days.minute(freezer!.by.day, freezer!.by.time),
    };
  });
}

function worksOf(request: PlanRequest, plan: Plan, demands: readonly DemandView[]): Done[] {
  const mixers = request.kitchen.equipment.mixer?.count ?? 0;
  return plan.solution.tasks.flatMap(({ id, start, end, taken }) => {
    const info = plan.tasks[id];
    const demand = info?.step ? demands.find((d) => d.item === info.item && meets(d.range, info.range)) : undefined;
    const step = demand?.resolved.steps.find((s) => s.id === info.step);
    if (!demand || !step) return [];
    const alt =
      mixers === 0 && step.equipment.some((e) => e.id === "mixer") ? step.alt?.find((a) => a.equipment === "hands") : undefined;
    const own: Step = alt
      ? {
          ...step,
          time: alt.time,
          attention: alt.attention,
          tend: alt.tend,
          equipment: [...step.equipment.filter((e) => e.id !== "mixer"), { id: "worktop" }],
        }
      : step;
    return [{ id, step: own, range: info.range, start, end, taken, demand }];
  });
}

/** Rule 2. */
function eachPieceOnce(plan: Plan, demands: readonly DemandView[]): string[] {
  const broken: string[] = [];
  for (const demand of demands)
    for (const step of demand.resolved.steps) {
      if (!step.path.includes(demand.path as never) || demand.done.has(step.id)) continue;
      const ranges = Object.values(plan.tasks)
        .filter((t) => t.item === demand.item && t.step === step.id)
        .map((t) => t.range);
      for (let piece = demand.range[0]; piece < demand.range[1]; piece++) {
        const n = ranges.filter(([a, b]) => a <= piece && piece < b).length;
        if (n !== 1) {
          broken.push(`2: piece ${piece} of ${demand.item} is in ${n} tasks of ${step.id}`);
          break;
        }
      }
    }
  return broken;
}

/** Rule 3. */
function gaps(request: PlanRequest, works: readonly Done[]): string[] {
  const broken: string[] = [];
  for (const after of works)
    for (const link of after.step.after)
      for (const before of works) {
        if (before.step.id !== link.step || before.demand.item !== after.demand.item || !meets(before.range, after.range))
          continue;
        const gap = after.start - before.end;
        const rest = before.step.rest;
        const named = link.minGapMin !== undefined || link.maxGapMin !== undefined;
        const limit = link.maxGapMin ?? (before.step.ahead ? before.step.ahead.hours * 60 : undefined);
        if (gap < (link.minGapMin ?? 0)) broken.push(`3: ${after.id} ${gap} min after ${before.id}`);
        if (rest && !named && !before.step.ahead) {
          const rooms = [roomAt(request.kitchen, before.start), roomAt(request.kitchen, Math.max(before.start, after.start - 1))];
          const slowest = rest.yeasted && rest.where === "room" ? Math.max(...rooms.map((room) => yeast(rest.atC, room))) : 1;
          const longest = Math.max(rest.max * slowest, before.end - before.start);
          if (after.start - before.start > longest) broken.push(`3: ${after.id} leaves ${before.id} resting too long`);
        } else if (limit !== undefined && gap > limit)
          broken.push(`3: ${after.id} ${gap} min after ${before.id}, at most ${limit}`);
      }
  return broken;
}

const yeast = (atC: number, roomC: number) => 2 ** ((atC - roomC) / 10);

/** Rule 4, lengths. */
function durations(request: PlanRequest, plan: Plan, works: readonly Done[]): string[] {
  const broken: string[] = [];
  for (const work of works) {
    const { step } = work;
    const length = work.end - work.start;
    const pieces = work.range[1] - work.range[0];
    if (step.rest) {
      const rooms =
        step.rest.yeasted && step.rest.where === "room"
          ? [roomAt(request.kitchen, work.start), roomAt(request.kitchen, work.end - 1)]
          : [];
      const factors = rooms.length > 0 ? rooms.map((room) => yeast(step.rest!.atC, room)) : [1];
      if (
        length < Math.min(...factors) * step.rest.min - 1e-9 ||
        length > Math.max(...factors) * Math.max(step.rest.max, 1) + 1e-9
      )
        broken.push(`4: ${work.id} rests ${length} min`);
      continue;
    }
    const plain = step.time.fixedMin + (step.time.secPerPiece * pieces) / 60;
    const scaled = step.attention === "hands-on" && !HEATED.includes(step.kind) && !step.equipment.some((e) => e.id === "mixer");
    const cook = request.kitchen.cooks.find((c) => work.taken.includes(c.id));
    const wanted = Math.max(1, Math.ceil(plain * (scaled && cook ? paceOf(cook) : 1) - 1e-9));
    if (length !== wanted) broken.push(`4: ${work.id} lasts ${length} min, not ${wanted}`);
  }
  void plan;
  return broken;
}

/** Rule 4, cooks: one thing at a time, hours, breaks, what they are never given. */
function cooks(request: PlanRequest, plan: Plan, works: readonly Done[]): string[] {
  const broken: string[] = [];
  const days = planDays(request);
  const tasks = new Map(plan.problem.tasks.map((t) => [t.id, t]));
  for (const cook of request.kitchen.cooks) {
    const busy: [number, number, string][] = [];
    for (const work of works)
      tasks.get(work.id)!.uses.forEach((use, u) => {
        if (work.taken[u] !== cook.id) return;
        if (cook.notFor.includes(work.step.kind) || cook.notFor.includes(work.step.id))
          broken.push(`4: ${cook.id} is not for ${work.id}`);
        if (use.from === undefined || use.minutes === undefined) busy.push([work.start, work.end, work.id]);
        else {
          const minutes = Array.isArray(use.minutes) ? use.minutes[(use.resource as string[]).indexOf(cook.id)] : use.minutes;
          const from = (use.from >= 0 ? work.start : work.end) + use.from;
          busy.push([from, from + minutes, work.id]);
        }
      });
    busy.sort((a, b) => a[0] - b[0]);
    busy.forEach(([from, to, id], i) => {
      if (i > 0 && busy[i - 1][1] > from) broken.push(`4: ${cook.id} at ${busy[i - 1][2]} and ${id} at once`);
      for (let minute = from; minute < to; minute++) {
        const here = cook.hours.some((h) => days.minute(h.day, h.from) <= minute && minute < days.minute(h.day, h.to));
        const pause = request.kitchen.breaks.some(
          (b) => days.minute(b.day, b.from) <= minute && minute < days.minute(b.day, b.to),
        );
        if (!here || pause) {
          broken.push(`4: ${cook.id} works on ${id} at minute ${minute}, outside the hours`);
          break;
        }
      }
    });
  }
  for (const work of works) {
    const tends = (work.step.attention === "hands-on" ? [] : (work.step.tend ?? [])).filter((t) => t.minutes > 0).length;
    const hands = work.taken.filter((id) => request.kitchen.cooks.some((c) => c.id === id)).length;
    const wanted = work.step.attention === "hands-on" ? Math.max(1, work.step.hands) : tends;
    if (hands !== wanted) broken.push(`4: ${work.id} has ${hands} pairs of hands, not ${wanted}`);
  }
  return broken;
}

/** Rule 5, sizes of lots, loads and mixes. */
function capacities(request: PlanRequest, plan: Plan, works: readonly Done[]): string[] {
  const broken: string[] = [];
  const limits = (item: string) =>
    capacitiesOf(
      request.items.find((i) => i.id === item)!,
      request.kitchen,
    );
  for (const lot of plan.lots) {
    const c = limits(lot.item);
    const on = (rooms: readonly Room[]) => rooms.find(({ ids }) => ids.includes(lot.pool ?? lot.carrier))?.pieces ?? 0;
    const most =
      lot.carrier === "tray"
        ? Math.max(on(c.rooms.tray), on(c.rooms.freezerTray))
        : lot.carrier === "board"
          ? on(c.rooms.board)
          : c.steamerLoad;
    if (lot.pieces > (most ?? 0)) broken.push(`5: ${lot.id} holds ${lot.pieces} pieces`);
  }
  for (const load of plan.loads) {
    const c = limits(load.item);
    const raw = load.step.endsWith("reheat");
    const into = (rooms: readonly Room[]) => rooms.find(({ ids }) => ids.includes(load.chamber))?.pieces;
    const most = load.chamber.startsWith("oven")
      ? (into(c.rooms.oven) ?? c.shelves) * (raw ? Math.max(c.tray, c.freezerTray) : c.tray)
      : load.chamber.startsWith("steamer")
        ? into(c.rooms.steamer)
        : load.chamber.startsWith("fryer")
          ? into(c.rooms.fryer)
          : load.chamber.startsWith("lidded-pan")
            ? into(c.rooms.pan)
            : undefined;
    if (load.pieces > (most ?? Infinity)) broken.push(`5: ${load.id} holds ${load.pieces} pieces`);
  }
  const { mixer } = request.kitchen.equipment;
  if (mixer?.count && mixer.maxDoughG)
    for (const work of works) {
      const { item } = work.demand.resolved;
      if (!work.step.equipment.some((e) => e.id === "mixer")) continue;
      const dough = ((work.range[1] - work.range[0]) * item.piece.doughG) / (1 - item.dough.netLossPct / 100);
      if (dough > mixer.maxDoughG + 1e-6) broken.push(`5: ${work.id} mixes ${Math.round(dough)} g`);
    }
  return broken;
}

/** Rule 5, what is taken minute by minute, carriers that go with their lots included. */
function equipment(request: PlanRequest, plan: Plan, works: readonly Done[]): string[] {
  const e = request.kitchen.equipment as Record<
    string,
    { count?: number; places?: number; litres?: number[]; tiers?: number; fitsTraysEach?: number } | undefined
  >;
  const stock = (id: string) =>
    id === "worktop"
      ? e.worktop?.places
      : id === "pot"
        ? e.pot?.litres?.length
        : id === "steamer-tier"
          ? (e.steamer?.count ?? 0) * (e.steamer?.tiers ?? 0)
          : id === "fridge-shelf"
            ? (e["fridge-shelf"]?.count ?? 0) * (e["fridge-shelf"]?.fitsTraysEach ?? 1)
            : (sizedStock(id) ?? e[id]?.count);
  // "tray-2", "lidded-pan-2": of another size.
  const sizedStock = (id: string) => {
    const [, kind, n] = /^(tray|board|lidded-pan)-(\d+)$/.exec(id) ?? [];
    return kind ? (e[kind] as { others?: { count: number }[] }).others?.[Number(n) - 2]?.count : undefined;
  };
  const held = new Map<string, [number, number, number][]>();
  const hold = (id: string, from: number, to: number, amount: number) =>
    held.set(id, [...(held.get(id) ?? []), [from, to, amount]]);
  for (const work of works)
    for (const entry of work.step.equipment) {
      if (["oven", "steamer", "fryer"].includes(entry.id)) continue;
      const carrier = isCarrier(entry.id);
      const isOne = (t: string) => [entry.id, entry.or].includes(t.replace(/-\d+$/, ""));
      // A load on trays of several sizes takes of each.
      const taken = carrier || entry.id === "lidded-pan" ? work.taken.filter(isOne) : [entry.id];
      for (const id of taken.length > 0 ? taken : [entry.id]) holdOne(work, entry, id, carrier);
    }
  function holdOne(work: Done, entry: Done["step"]["equipment"][number], id: string, carrier: boolean): void {
    if (SMALL.includes(id) && work.step.attention !== "hands-on") return;
    if (SMALL.slice(0, 4).includes(id) && !stock(id)) return;
    const use = plan.problem.tasks.find((t) => t.id === work.id)!.uses.find((u) => u.resource === id);
    const amount = carrier ? (use?.amount ?? 1) : id === "tins" ? work.range[1] - work.range[0] : (entry.amount ?? 1);
    let end = work.end;
    if (carrier && work.step.kind !== "serve") {
      const next = works.filter(
        (w) =>
          w.demand.item === work.demand.item && w.step.after.some((l) => l.step === work.step.id) && meets(w.range, work.range),
      );
      end = Math.max(end, ...next.map((w) => w.start));
    }
    hold(id, work.start, end, amount);
  }
  const broken: string[] = [];
  for (const [id, list] of held)
    for (const [minute] of list) {
      const sum = list.filter(([a, b]) => a <= minute && minute < b).reduce((s, [, , n]) => s + n, 0);
      if (sum > (stock(id) ?? 0) + 1e-9) {
        broken.push(`5: ${sum} of ${id} taken at minute ${minute}, ${stock(id)} there`);
        break;
      }
    }
  return broken;
}

/** Rule 5, what is heated: settings, changes between them, shelves, recovery, one filling at a time, the order of the oil. */
function chambers(request: PlanRequest, plan: Plan, works: readonly Done[]): string[] {
  const broken: string[] = [];
  const stays = works.flatMap((work) => {
    const entry = work.step.equipment.find((e) => ["oven", "steamer", "fryer"].includes(e.id));
    if (!entry) return [];
    const id = work.taken.find((t) => t === entry.id || t.startsWith(`${entry.id}-`))!;
    const is = chamberIs(id, request.kitchen);
    const setting = (entry.settingC ?? 100) + (entry.id === "oven" && is?.fan === false ? 20 : 0);
    const amount = plan.problem.tasks.find((t) => t.id === work.id)!.uses.find((u) => u.setting !== undefined)!.amount;
    const rest = work.step.rest !== undefined;
    return [{ ...work, chamber: id, family: entry.id, setting, amount, rest, recovery: entry.recoveryMin ?? 0 }];
  });
  const changed = plan.solution.tasks.find((t) => plan.tasks[t.id]?.what.code === "oil-change");
  for (const a of stays)
    for (const b of stays) {
      if (a === b || a.chamber !== b.chamber || a.start > b.start) continue;
      const together = b.start < a.end;
      if (together && a.setting !== b.setting)
        broken.push(`5: ${a.id} and ${b.id} want ${a.setting} and ${b.setting} °C at once`);
      if (together && a.family !== "oven") broken.push(`5: ${a.id} and ${b.id} are in the ${a.family} at once`);
      const rates = a.family === "steamer" ? undefined : chamberIs(a.chamber, request.kitchen);
      if (!together && rates && a.setting !== b.setting) {
        const rate = b.setting > a.setting ? rates.heatCPerMin : rates.coolCPerMin;
        if (b.start - a.end < Math.abs(b.setting - a.setting) / rate - 1e-9)
          broken.push(`5: ${b.id} begins before the ${a.family} is at ${b.setting} °C`);
      }
      if (!together && a.family === "fryer" && b.start - a.end < a.recovery - 1e-9)
        broken.push(`5: the oil has no time to recover before ${b.id}`);
      const order = (w: (typeof stays)[number]) => w.demand.resolved.item.fryOil?.order ?? 0;
      const fresh = changed && changed.start >= a.end && changed.end <= b.start;
      if (a.family === "fryer" && order(b) < order(a) && !fresh) broken.push(`5: ${b.id} goes into oil that tastes of ${a.id}`);
    }
  for (const a of stays.filter((s) => s.family === "oven")) {
    const inside = stays
      .filter((b) => b.chamber === a.chamber && b.start <= a.start && a.start < b.end)
      .reduce((sum, b) => sum + b.amount, 0);
    if (inside > (chamberIs(a.chamber, request.kitchen)?.shelfPositions ?? 0))
      broken.push(`5: ${inside} trays in the oven at minute ${a.start}`);
  }
  return broken;
}

/** A chamber as the kitchen has it: the first so many are of the first size, and so on. */
function chamberIs(id: string, { equipment }: PlanRequest["kitchen"]) {
  const [kind, n = "1"] = id.split("-");
  const first = equipment[kind as "oven"];
  const all = first ? [first, ...(first.others ?? [])] : [];
  return all.flatMap((size) => Array.from({ length: size.count }, () => size))[Number(n) - 1];
}

/** Rule 6. */
function grams(plan: Plan, demands: readonly DemandView[]): string[] {
  const broken: string[] = [];
  for (const id of new Set(demands.map((d) => d.item))) {
    const own = demands.filter((d) => d.item === id);
    const { item } = own[0].resolved;
    const pieces = own.reduce((sum, d) => sum + d.range[1] - d.range[0], 0);
    const total = (part: string) =>
      plan.batches.filter((b) => b.item === id && b.part === part).reduce((sum, b) => sum + b.totalG, 0);
    const dough = total("dough") * (1 - item.dough.netLossPct / 100);
    if (Math.abs(dough - pieces * item.piece.doughG) > 0.01 * pieces * item.piece.doughG)
      broken.push(`6: ${id} has ${dough} g of dough for ${pieces}`);
    for (const demand of own) {
      const { resolved } = demand;
      const batches = plan.batches.filter(
        (b) => b.item === id && b.part === "filling" && b.range[0] <= demand.range[0] && demand.range[1] <= b.range[1],
      );
      for (const batch of batches) {
        const cooked = batch.ingredients.reduce((sum, line) => {
          const component = resolved.fillingComponents.find((c) => c.id === line.id);
          return sum + line.grams * (component?.cook ? 1 - resolved.cookingLossPct / 100 : 1);
        }, 0);
        const usable = cooked * (1 - resolved.handlingLossPct / 100);
        const wanted = batch.pieces * item.piece.fillingG;
        if (Math.abs(usable - wanted) > 0.01 * wanted) broken.push(`6: ${batch.id} leaves ${usable} g, not ${wanted}`);
        const raw = resolved.fillingComponents.reduce((s, c) => s + c.grams, 0);
        for (const c of resolved.fillingComponents) {
          const got = batch.ingredients.filter((l) => l.id === c.id).reduce((s, l) => s + l.grams, 0) / batch.totalG;
          const share = resolved.fillingComponents.filter((x) => x.id === c.id).reduce((s, x) => s + x.grams, 0) / raw;
          if (Math.abs(got - share) > 0.01) broken.push(`6: ${c.id} in ${batch.id} is ${got}, not ${share}`);
        }
      }
    }
  }
  return broken;
}

/** Rule 7. */
function serving(request: PlanRequest, plan: Plan, demands: readonly DemandView[], works: readonly Done[]): string[] {
  const broken: string[] = [];
  for (const demand of demands) {
    const own = works.filter((w) => w.demand.item === demand.item && meets(w.range, demand.range));
    if (own.length === 0) continue;
    const late = own.filter(
      (w) => w.end > demand.by && (w.step.kind === "serve" || w.step.kind === "bag" || demand.path === "from-freezer"),
    );
    if (late.length > 0) broken.push(`7: ${late[0].id} ends at ${late[0].end}, after ${demand.by}`);
    const serve = demand.resolved.steps.find((s) => s.kind === "serve");
    if (demand.for === "freezer" || !serve?.hold) continue;
    const before = demand.path === "from-freezer" ? own : own.filter((w) => serve.after.some((l) => l.step === w.step.id));
    for (const work of before) {
      const ready = work.step.rest ? work.start + Math.min(work.step.rest.min, work.end - work.start) : work.end;
      if (demand.by - ready > serve.hold.maxMin)
        broken.push(`7: ${work.id} is ${demand.by - ready} min old at the table, at most ${serve.hold.maxMin}`);
    }
    if (!plan.serves.some((s) => s.for === demand.for && s.item === demand.item && s.ready <= s.at))
      broken.push(`7: ${demand.item} is not served in time`);
  }
  void request;
  return broken;
}

/** Rule 8. */
function diets(request: PlanRequest, plan: Plan, demands: readonly DemandView[]): string[] {
  const broken: string[] = [];
  const served = servedIn(request.gathering, new Map(request.items.map((item) => [item.id, item])));
  for (const wave of request.gathering.waves) {
    const here = demands.filter((d) => d.for === wave.id);
    const hungry = request.gathering.guests.some(
      (g) => g.count > 0 && !here.some((d) => suits(g, served(d.resolved.item, d.choices, d.resolved.filling).claims)),
    );
    const noted = plan.notes.some((n) => n.code === "unserved-diet" && n.about[0] === wave.id);
    if (hungry !== noted)
      broken.push(`8: wave ${wave.id}: ${hungry ? "a guest has nothing and no note says so" : "a note without a cause"}`);
  }
  return broken;
}
