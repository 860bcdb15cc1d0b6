import type { Guess } from "../construct/schedule";
import { candidatesOf, takenIn, type Problem, type Task, type Use } from "../problem";
import type { ExecutionState } from "./execution-state";
import { busyUntil, type Room, type Span } from "./free-room";
import { gapsIn, hoursOf } from "./hours";

const lengthOf = ({ duration }: Task, choices: readonly number[], was: number): number =>
  typeof duration === "number"
    ? duration
    : Array.isArray(duration)
      ? Math.min(duration[1], Math.max(duration[0], was))
      : duration.minutes[choices[duration.of]];

/** What begins within so many minutes of what it comes after is placed together with it. */
const AT_ONCE = 10;
const MOST_CHAIN_TRIES = 40;
/** Rounds in which what would wait too long is put off. */
const MOST_PASSES = 12;

/** What of a day does not change from one round to the next. */
interface Day {
  readonly rest: Problem;
  readonly was: Guess;
  readonly now: number;
  readonly index: ReadonlyMap<string, number>;
  readonly begun: ReadonlySet<string>;
  /** What has to be placed, in the order in which it stood. */
  readonly waiting: readonly number[];
  /** What begins at once, or nearly, after a task. */
  readonly followers: readonly (readonly { task: number; max: number }[])[];
  /** What waits until another begins, and for whom: it holds what it has until then. */
  readonly waitsFor: ReadonlyMap<number, number>;
}

function dayOf(rest: Problem, was: Guess, { now, running, done }: ExecutionState): Day {
  const index = new Map(rest.tasks.map(({ id }, i) => [id, i]));
  const begun = new Set([...running, ...done].map(({ id }) => id));
  const isNothing = ({ duration, uses }: Task) => duration === 0 && uses.length === 0;
  const followers: { task: number; max: number }[][] = rest.tasks.map(() => []);
  const waitsFor = new Map<number, number>();
  rest.tasks.forEach((task, i) => {
    for (const { task: before, max } of task.after) {
      const b = index.get(before);
      if (b === undefined || max === undefined) continue;
      if (max <= AT_ONCE && !isNothing(task)) followers[b].push({ task: i, max });
      if (max === 0 && Array.isArray(rest.tasks[b].duration)) waitsFor.set(b, i);
    }
  });
  const waiting = rest.tasks.flatMap((task, i) => (begun.has(task.id) || isNothing(task) ? [] : [i]));
  waiting.sort((a, b) => was.starts[a] - was.starts[b] || was.ends[a] - was.ends[b] || a - b);
  return { rest, was, now, index, begun, waiting, followers, waitsFor };
}

/** Rounds of looking for a place before a task is laid where it comes to lie. */
const MOST_TRIES = 200;

/**
 * The rest of a day lined up behind what is over and under way: each task, in the order in which it stood, at the first minute no
 * earlier than it stood at which what it comes after is over and what it takes is free, by the hands that it had or by others that
 * are. Keeps no deadline, and longest waits as far as it can: what it gives is an order that can be kept.
 */
export function lineUp(rest: Problem, was: Guess, soFar: ExecutionState): Guess {
  const day = dayOf(rest, was, soFar);
  const { index, begun } = day;
  const notBefore = new Int32Array(rest.tasks.length);
  let line = linedUp(day, notBefore);
  for (let pass = 0; pass < MOST_PASSES; pass++) {
    // What would wait too long, or rest too long, begins later itself, and with it what it has to follow at once.
    let isRight = true;
    const putOff = (i: number, minutes: number): void => {
      if (minutes <= 0 || begun.has(rest.tasks[i].id)) return;
      isRight = false;
      notBefore[i] = Math.max(notBefore[i], Math.min(rest.horizon, line.starts[i] + minutes));
      for (const { task: before, max } of rest.tasks[i].after) {
        const b = index.get(before);
        if (b !== undefined && max !== undefined) putOff(b, line.starts[i] + minutes - line.ends[b] - max);
      }
    };
    rest.tasks.forEach((task, i) => {
      if (begun.has(task.id)) return;
      if (Array.isArray(task.duration)) putOff(i, line.ends[i] - line.starts[i] - task.duration[1]);
      for (const { task: before, max } of task.after) {
        const b = index.get(before);
        if (b !== undefined && max !== undefined) putOff(b, line.starts[i] - line.ends[b] - max);
      }
    });
    if (isRight) break;
    line = linedUp(day, notBefore);
  }
  return line;
}

function linedUp({ rest, was, now, index, begun, waiting, followers, waitsFor }: Day, notBefore: Int32Array): Guess {
  const rooms = new Map(
    rest.resources.map((one): [string, Room] => {
      const hours = hoursOf(one);
      return [
        one.id,
        {
          units: one.kind === "pool" ? one.capacity : one.slots,
          chamber: one.kind === "chamber" ? one : undefined,
          gaps: hours ? gapsIn(hours, now, rest.horizon) : [],
          spans: [],
        },
      ];
    }),
  );
  const starts = was.starts.slice();
  const ends = was.ends.slice();
  const choices = was.choices.map((list) => list.slice());
  const open = new Map<number, Span[]>();
  const take = (i: number, fixed: boolean) => {
    const task = rest.tasks[i];
    const isOpen = !fixed && waitsFor.has(i);
    const held: Span[] = [];
    task.uses.forEach((use, u) => {
      const [from, to] = takenIn(use, choices[i][u], starts[i], ends[i]);
      const span: Span = {
        from,
        to: isOpen && use.from === undefined ? rest.horizon : to,
        amount: use.amount,
        setting: use.setting,
        sealed: use.sealed,
        rank: use.rank,
      };
      if (span.to <= from) return;
      rooms.get(candidatesOf(use)[choices[i][u]])?.spans.push(span);
      if (isOpen && use.from === undefined) held.push(span);
    });
    if (held.length > 0) open.set(i, held);
  };
  rest.tasks.forEach((task, i) => {
    if (begun.has(task.id)) take(i, true);
  });
  /** The hands and things of a task at a minute, or the minute from which it is to be tried again. */
  const fitAt = (task: Task, start: number, length: number, own: readonly number[]): readonly number[] | number => {
    const chosen: number[] = [];
    let again = 0;
    for (const [u, use] of task.uses.entries()) {
      const all = candidatesOf(use);
      const isSettled = typeof task.duration === "object" && !Array.isArray(task.duration) && task.duration.of === u;
      const order = isSettled ? [own[u]] : [own[u], ...all.keys()].filter((choice, k, list) => list.indexOf(choice) === k);
      let earliest = Infinity;
      const found = order.find((choice) => {
        const [from, to] = takenIn(use, choice, start, start + length);
        const also = alsoTaken(task.uses, chosen, all[choice], from, to, start, length);
        const until = busyUntil(rooms.get(all[choice])!, from, to, { ...use, amount: use.amount + also });
        if (until === undefined) return true;
        earliest = Math.min(earliest, start + Math.max(1, until - from));
        return false;
      });
      if (found === undefined) again = Math.max(again, earliest);
      chosen.push(found ?? own[u]);
    }
    return again > 0 ? again : chosen;
  };

  const placed = new Set(rest.tasks.flatMap(({ id }, i) => (begun.has(id) ? [i] : [])));
  /** First minute at which a task may begin by what it comes after. */
  const earliestOf = (i: number): number =>
    rest.tasks[i].after.reduce(
      (from, { task: before, min }) => {
        const b = index.get(before);
        return b === undefined ? from : Math.max(from, ends[b] + min);
      },
      Math.max(now, notBefore[i], rest.tasks[i].earliest ?? 0),
    );

  /** The first place at or after a minute; laid there even if it is not free where no place is found. */
  const place = (i: number, from: number): void => {
    const task = rest.tasks[i];
    const { duration } = task;
    const isByHand = typeof duration === "object" && !Array.isArray(duration);
    const planned = was.ends[i] - was.starts[i];
    let best: { start: number; length: number; chosen: readonly number[] } | undefined;
    // Where somebody else would take another time, each is tried, and the first who can begin has it.
    for (const choice of isByHand ? [was.choices[i][duration.of], ...duration.minutes.keys()] : [0]) {
      const own = Array.from(was.choices[i], (one, u) => (isByHand && u === duration.of ? choice : one));
      const length = lengthOf(task, own, planned);
      let start = from;
      for (let tries = 0; tries < MOST_TRIES && start < rest.horizon && (!best || start < best.start); tries++) {
        const fit = fitAt(task, start, length, own);
        if (typeof fit !== "number") {
          best = { start, length, chosen: fit };
          break;
        }
        start = fit;
      }
    }
    const { start, length, chosen } = best ?? {
      start: from,
      length: lengthOf(task, [...was.choices[i]], planned),
      chosen: [...was.choices[i]],
    };
    starts[i] = Math.min(start, rest.horizon);
    ends[i] = Math.min(start + length, rest.horizon);
    choices[i] = Int32Array.from(chosen);
    placed.add(i);
    for (const { task: before } of task.after) {
      const b = index.get(before);
      if (b === undefined || waitsFor.get(b) !== i) continue;
      open.get(b)?.forEach((span) => (span.to = Math.max(span.from, starts[i])));
      ends[b] = Math.max(starts[b], starts[i]);
    }
    take(i, false);
  };

  /** Places a task and what has to follow it at once: where that does not fit, all of it begins later. */
  const placeChain = (first: number, from: number): void => {
    if (followers[first].length === 0) return place(first, from);
    for (let tries = 0; ; tries++) {
      const before = memory();
      place(first, from);
      const behind = follow(first);
      if (behind <= 0 || tries >= MOST_CHAIN_TRIES) return;
      from = starts[first] + behind;
      before();
    }
  };
  /** Places what follows at once; by how many minutes that comes too late. */
  const follow = (i: number): number => {
    let behind = 0;
    for (const { task: j, max } of followers[i]) {
      if (placed.has(j) || !rest.tasks[j].after.every(({ task }) => placed.has(index.get(task) ?? i))) continue;
      place(j, earliestOf(j));
      behind = Math.max(behind, starts[j] - ends[i] - max, follow(j));
    }
    return behind;
  };
  /** What was placed until now, to be gone back to. */
  const memory = () => {
    const lengths = [...rooms.values()].map(({ spans }) => spans.length);
    const there = new Set(placed);
    const held = [...open].map(([i, spans]) => [i, spans.map(({ to }) => to)] as const);
    const kept = ends.slice();
    return () => {
      [...rooms.values()].forEach(({ spans }, r) => (spans.length = lengths[r]));
      for (const i of [...placed]) if (!there.has(i)) placed.delete(i);
      for (const i of [...open.keys()]) if (!held.some(([one]) => one === i)) open.delete(i);
      for (const [i, tos] of held) open.get(i)!.forEach((span, k) => (span.to = tos[k]));
      ends.set(kept);
    };
  };

  for (const i of waiting) if (!placed.has(i)) placeChain(i, Math.max(was.starts[i], earliestOf(i)));
  return { starts, ends, choices };
}

/** How much of a resource the same task takes already by its uses before, in the same minutes. */
function alsoTaken(
  uses: readonly Use[],
  chosen: readonly number[],
  resource: string,
  from: number,
  to: number,
  start: number,
  length: number,
): number {
  return chosen.reduce((sum, choice, u) => {
    if (candidatesOf(uses[u])[choice] !== resource) return sum;
    const [a, b] = takenIn(uses[u], choice, start, start + length);
    return a < to && from < b ? sum + uses[u].amount : sum;
  }, 0);
}
