import { restInRoom, isRise } from "../item/rest-in-room";
import { isHeat, type Step } from "../item/step";
import { stepIn, type Plan } from "../plan/schema";
import type { Placed } from "../schedule/solution";
import { minuteReader } from "./clock";
import { isFirstPiece, loadsToCome } from "./pilot";
import { gateKey, isOpen, type Answered, type Cooled, type Oddity, type RunState, type TaskRun } from "./run-state";
import { countedEvents, type AmountKind, type Counted, type Place, type RunEvent } from "./events";

/** What waits for its cue is looked at again so soon, min: a rise, what is in the heat, and a filling in boiling water. */
const LOOK_AGAIN = { rest: 10, heat: 3, pot: 1 } as const;
const lookAgainAfter = (step: Step | undefined): number =>
  step?.kind === "cook-filling" ? LOOK_AGAIN.pot : step && isHeat(step) ? LOOK_AGAIN.heat : LOOK_AGAIN.rest;
/** Knocked back, a dough is ready again in so much of the time of its first rise. */
const SECOND_RISE = 0.5;
/** The thermometer's own error, °C. */
const SAME_C = 0.5;

const WAITING: TaskRun = { status: "waiting" };

/** How long a task takes, min: as it was planned, but for what may wait when it is ready. */
export function plannedMinutes(plan: Plan): Map<string, number> {
  const durations = new Map(plan.problem.tasks.map(({ id, duration }) => [id, duration]));
  return new Map(
    plan.solution.tasks.map(({ id, start, end }) => {
      const duration = durations.get(id);
      return [id, plan.tasks[id]?.rise?.readyMin ?? (Array.isArray(duration) ? Math.min(duration[0], end - start) : end - start)];
    }),
  );
}

/** How long a task takes as it is known by now, min. */
export const lengthIn = (run: Pick<TaskRun, "minutes" | "odd"> | undefined, plannedMin: number): number =>
  (run?.minutes ?? plannedMin) + (run?.odd?.minutes ?? 0);

/**
 * Where a day stands after what happened: the same whatever order the events came in, and however often each came. A step that is
 * judged is over when somebody says so, not when its time is.
 */
export function replay(plan: Plan, all: readonly RunEvent[]): RunState {
  return new Replay(plan).through(countedEvents(all));
}

/** What has no say in how the rest of a day goes. */
const CHANGES_NOTHING: ReadonlySet<RunEvent["kind"]> = new Set([
  ...(["paced", "note", "undone", "agreed", "answered", "cooled", "opened"] as const),
  ...(["set", "amount", "fault", "took-over"] as const),
]);

/** What happens to a task. */
type OfTask = Extract<RunEvent, { task?: string | undefined }> & {
  task: string;
};
type OfTaskKind = Exclude<OfTask, { kind: "note" | "answered" | "cooled" | "opened" }>;

class Replay {
  private readonly tasks = new Map<string, TaskRun>();
  private readonly away = new Map<string, number>();
  private readonly odd: Oddity[] = [];
  private readonly notes: { minute: number; task?: string; text: string }[] = [];
  private readonly joined = new Map<string, { name: string; since: number }>();
  private readonly agreed = new Map<string, number>();
  private roomC: number | undefined;
  private oil: RunState["oil"];
  private arranged: readonly Placed[] | undefined;
  private arrangedBefore: readonly Placed[] | undefined;
  private isArranged = false;
  private pace: RunState["pace"];
  private readonly answers = new Map<string, Answered>();
  private readonly cooled = new Map<string, readonly Cooled[]>();
  private readonly settings = new Map<string, { c: number; minute: number }>();
  private readonly opened = new Set<string>();
  private readonly doubled = new Set<string>();
  private readonly amounts = new Map<string, Partial<Record<AmountKind, number>>>();
  private readonly tookOver = new Map<string, number>();
  private readonly faults: { item: string; fault: string; minute: number }[] = [];
  private readonly planned: ReadonlyMap<string, number>;
  private readonly before: ReadonlyMap<string, readonly string[]>;

  constructor(private readonly plan: Plan) {
    this.planned = plannedMinutes(plan);
    this.before = new Map(
      plan.problem.tasks.map(({ id, after }) => [id, after.filter((link) => (link.min ?? 0) >= 0).map((link) => link.task)]),
    );
    for (const id of this.planned.keys()) this.tasks.set(id, WAITING);
  }

  through(counted: Counted): RunState {
    let lastMinute: number | undefined;
    const minuteIn = minuteReader(this.plan);
    for (const event of counted.events) {
      const minute = minuteIn(event.at, event.zone);
      lastMinute = lastMinute === undefined ? minute : Math.max(lastMinute, minute);
      this.take(event, Math.floor(minute));
    }
    return {
      tasks: this.tasks,
      away: this.away,
      joined: this.joined,
      agreed: this.agreed,
      ...(this.roomC !== undefined && { roomC: this.roomC }),
      ...(this.oil && { oil: this.oil }),
      answers: this.answers,
      cooled: this.cooled,
      set: this.settings,
      opened: this.opened,
      doubled: this.doubled,
      amounts: this.amounts,
      faults: this.faults,
      tookOver: this.tookOver,
      isArranged: this.isArranged,
      ...(this.arranged && { arranged: this.arranged }),
      ...(this.arrangedBefore && { arrangedBefore: this.arrangedBefore }),
      ...(this.pace && { pace: this.pace }),
      odd: this.odd,
      notes: this.notes,
      counted,
      ...(lastMinute !== undefined && { lastMinute }),
    };
  }

  private take(event: RunEvent, minute: number): void {
    if (!CHANGES_NOTHING.has(event.kind)) {
      this.isArranged = event.kind === "arranged";
      if (!this.isArranged) this.arrangedBefore = this.arranged;
    }
    switch (event.kind) {
      case "undone":
        return;
      case "changed":
        return this.cookChanged(event, minute);
      case "joined":
        return void this.joined.set(event.who, { name: event.name, since: minute });
      case "arranged":
        this.arranged = event.tasks;
        return;
      case "agreed":
        return void this.agreed.set(event.target, event.minutes);
      case "paced":
        this.pace = { at: event.at, wall: event.wall, rate: event.rate };
        return;
      case "answered":
        return void this.answers.set(gateKey(event.task, event.gate), {
          seen: event.seen,
          ...(event.note !== undefined && { note: event.note }),
          minute,
        });
      case "cooled": {
        const { task, share, isOut = false } = event;
        return void this.cooled.set(task, [...(this.cooled.get(task) ?? []), { minute, share, isOut }]);
      }
      case "set":
        return void this.settings.set(event.what, { c: event.value, minute });
      case "opened":
        this.opened.add(event.task);
        this.notes.push({ minute, task: event.task, text: `Lid opened: ${event.reason}` });
        return;
      case "doubled":
        return void this.doubled.add(event.what);
      case "amount":
        return void this.amounts.set(event.item, { ...this.amounts.get(event.item), [event.what]: event.value });
      case "took-over":
        return void this.tookOver.set(event.what, event.revision);
      case "fault":
        return void this.faults.push({ item: event.item, fault: event.fault, minute });
      case "note":
        this.notes.push({ minute, ...(event.task !== undefined && { task: event.task }), text: event.text });
        return;
      case "measured":
        if (event.what === "oil") this.oil = { c: event.value, minute };
        if (event.what === "room") return this.roomMeasured(event.value, minute, event.task);
        // Yeast is as quick as its dough is warm, whatever the room.
        if (event.what === "dough" && event.task !== undefined) return this.warmthMeasured(event.value, minute, event.task);
        return event.task === undefined ? undefined : this.ofTask({ ...event, task: event.task }, minute);
      default:
        return this.ofTask(event, minute);
    }
  }

  private ofTask(event: OfTaskKind, minute: number): void {
    const { task } = event;
    const was = this.tasks.get(task);
    if (!was) {
      this.odd.push({ code: "no-such-task", event: event.id, task });
      return;
    }
    if (!isOpen(was)) {
      if (event.kind === "lost" || event.kind === "frozen") return this.gone(task, minute, event.kind);
      // Cooked pieces are kept hot once they are out.
      if (event.kind === "held" && event.place === "warm")
        return this.set(task, { ...was, held: { place: event.place, since: minute } });
      if (event.kind === "retimed") return this.retimed(task, event.minutes);
      // A core that is read when it is out already counts all the same.
      if (event.kind === "measured" && event.what === "core")
        return this.set(task, { ...was, coreC: Math.max(was.coreC ?? -Infinity, event.value) });
      // Two devices that both say it is over mean the same.
      if (event.kind !== "done" && event.kind !== "measured") this.odd.push({ code: "already-over", event: event.id, task });
      return;
    }
    switch (event.kind) {
      case "started":
        return this.start(task, minute, event.cook, event.taken);
      case "done":
        return this.end(task, minute, event, was);
      case "extended":
        return this.set(task, { ...this.running(task, minute), expectedEnd: this.expected(task, minute) + event.minutes });
      case "late":
        return this.set(task, { ...was, notBefore: Math.max(minute, this.startOf(task)) + event.minutes });
      case "checked":
        return this.checked(task, minute, event);
      case "measured":
        return this.set(task, { ...was, ...(event.what === "core" && { coreC: Math.max(was.coreC ?? -Infinity, event.value) }) });
      case "skipped":
        return this.set(task, { status: "skipped", start: minute, end: minute, ...(event.reason && { reason: event.reason }) });
      case "held":
        return this.held(task, minute, event.place);
      case "piloted":
        // The others wait for it.
        return this.set(task, { ...was, pilotSince: minute, notBefore: minute + this.lengthOf(task) });
      case "retimed":
        return this.retimed(task, event.minutes);
      case "odd":
        return this.withOdd(task, was, { grams: event.grams, minutes: event.minutes });
      case "lost":
      case "frozen":
        return this.gone(task, minute, event.kind);
    }
  }

  /** How long a task takes when it is begun now, min. */
  private lengthOf(task: string): number {
    return lengthIn(this.tasks.get(task), this.planned.get(task)!);
  }

  /** Heavy pieces go into a load: what was said of them before no longer counts. */
  private withOdd(task: string, was: TaskRun, odd: NonNullable<TaskRun["odd"]>): void {
    const more = odd.minutes - (was.odd?.minutes ?? 0);
    this.set(task, { ...was, odd, ...(was.expectedEnd !== undefined && { expectedEnd: was.expectedEnd + more }) });
  }

  /** A rise that is ready too early: cold it waits, knocked back it rises once more, in about half the time. */
  private held(task: string, minute: number, place: Place): void {
    const now = this.running(task, minute);
    const again = place === "knocked-back" && { expectedEnd: minute + Math.ceil(this.lengthOf(task) * SECOND_RISE) };
    const { lookAgain: _look, ...rest } = now;
    this.set(task, { ...rest, held: { place, since: minute }, ...again });
  }

  /** All loads of a step that are still to come take what its first piece took. */
  private retimed(task: string, minutes: number): void {
    for (const id of loadsToCome(this.plan, { tasks: this.tasks }, task)) {
      const { notBefore, ...rest } = this.tasks.get(id)!;
      this.set(id, { ...rest, ...(id !== task && notBefore !== undefined && { notBefore }), minutes });
    }
  }

  private set(task: string, now: TaskRun): void {
    this.tasks.set(task, now);
  }

  private startOf(task: string): number {
    const isIt = ({ id }: { readonly id: string }) => id === task;
    return (this.arranged?.find(isIt) ?? this.plan.solution.tasks.find(isIt)!).start;
  }

  private start(task: string, minute: number, cook: string | undefined, taken?: readonly string[]): void {
    const was = this.tasks.get(task)!;
    if (was.status === "running") return;
    this.closeBefore(task, minute);
    this.set(task, {
      ...was,
      status: "running",
      start: minute,
      expectedEnd: minute + this.lengthOf(task),
      ...(cook !== undefined && { cook }),
      ...(taken && { taken }),
    });
  }

  /** What a task comes after is over when it begins, said or not; but for what has a core that is not reached. */
  private closeBefore(task: string, minute: number): void {
    for (const id of this.before.get(task) ?? []) {
      const one = this.tasks.get(id);
      if (!one || !isOpen(one) || this.coreIsShort(id, one)) continue;
      const step = stepIn(this.plan, id);
      // What nobody put into the heat is not taken to have been in it.
      if (one.status === "waiting" && step && isHeat(step)) {
        // A first piece that nobody put in before its loads is left out.
        if (isFirstPiece(this.plan, id)) this.set(id, { ...over(one), status: "skipped", start: minute, end: minute });
        continue;
      }
      this.closeBefore(id, one.start ?? minute);
      const start = Math.min(minute, one.start ?? this.endOfBefore(id) ?? minute);
      this.set(id, { ...over(one), status: "done", start, end: minute, isAssumed: true });
    }
  }

  private endOfBefore(task: string): number | undefined {
    const ends = (this.before.get(task) ?? []).flatMap((id) => this.tasks.get(id)?.end ?? []);
    return ends.length > 0 ? Math.max(...ends) : undefined;
  }

  private coreIsShort(task: string, { coreC }: TaskRun): boolean {
    const step = stepIn(this.plan, task);
    return step?.coreC !== undefined && isHeat(step) && coreC !== undefined && coreC < step.coreC - SAME_C;
  }

  private running(task: string, minute: number): TaskRun {
    const was = this.tasks.get(task)!;
    if (was.status !== "running") this.start(task, minute, undefined);
    return this.tasks.get(task)!;
  }

  /** The end that is expected of a running task, no earlier than now. */
  private expected(task: string, minute: number): number {
    return Math.max(minute, this.running(task, minute).expectedEnd ?? minute);
  }

  private end(task: string, minute: number, { id, reason }: { id: string; reason?: string | undefined }, was: TaskRun): void {
    if (this.coreIsShort(task, was) && reason === undefined) {
      this.odd.push({
        code: "core-short",
        event: id,
        task,
        coreC: was.coreC ?? null,
        wantedC: stepIn(this.plan, task)!.coreC!,
      });
      if (was.status !== "running") this.start(task, minute, undefined);
      return;
    }
    // Nobody pressed when it began: it took what was planned, but began no sooner than what it comes after was over.
    const since = was.start ?? Math.max(this.endOfBefore(task) ?? -Infinity, minute - this.lengthOf(task));
    if (was.status !== "running") this.closeBefore(task, Math.min(minute, since));
    this.set(task, { ...over(was), status: "done", start: Math.min(minute, since), end: minute, ...(reason && { reason }) });
  }

  private checked(task: string, minute: number, event: Extract<RunEvent, { kind: "checked" }>): void {
    const now = this.running(task, minute);
    if (event.seen !== "early") return this.end(task, minute, event, { ...now, seen: event.seen });
    const again = minute + lookAgainAfter(stepIn(this.plan, task));
    const gone = minute - (now.start ?? minute);
    // So far along after so long: it is ready when it is all the way.
    const expectedEnd = event.share !== undefined ? Math.ceil((now.start ?? minute) + gone / event.share) : again;
    const lookAgain = Math.min(again, Math.max(minute + 1, expectedEnd));
    this.set(task, { ...now, seen: "early", expectedEnd: Math.max(expectedEnd, minute + 1), lookAgain });
  }

  /** `only`: that is how warm it is where this rise stands; else in the whole kitchen. */
  private roomMeasured(roomC: number, minute: number, only: string | undefined): void {
    if (only === undefined) this.roomC = roomC;
    for (const task of only === undefined ? this.tasks.keys() : [only]) this.warmthMeasured(roomC, minute, task);
  }

  /** A rise under way that is so warm takes what is left of it as quickly as that. */
  private warmthMeasured(celsius: number, minute: number, task: string): void {
    const now = this.tasks.get(task);
    const rest = stepIn(this.plan, task)?.rest;
    const { rise } = this.plan.tasks[task] ?? {};
    if (now?.status !== "running" || !rest || !rise || !isRise(rest) || now.expectedEnd === undefined) return;
    const left = Math.max(0, now.expectedEnd - minute);
    const quicker = restInRoom(rest, celsius).readyMin / Math.max(1, rise.readyMin);
    this.set(task, { ...now, expectedEnd: minute + Math.ceil(left * quicker) });
  }

  private cookChanged({ id, who, isThere }: Extract<RunEvent, { kind: "changed" }>, minute: number): void {
    if (!this.plan.day.cooks.some((cook) => cook.id === who) && !this.joined.has(who))
      this.odd.push({ code: "no-such-cook", event: id, who });
    else if (isThere) this.away.delete(who);
    else this.away.set(who, minute);
  }

  /** The pieces of a task are gone: it is over, and what was still to be done to none but them is left out. */
  private gone(task: string, minute: number, gone: "lost" | "frozen"): void {
    const { item, range } = this.plan.tasks[task];
    const now = this.tasks.get(task)!;
    const start = now.start ?? minute;
    this.set(task, {
      ...over(now),
      status: now.status === "skipped" ? "skipped" : "done",
      start,
      end: now.end ?? Math.max(minute, start),
      gone,
    });
    for (const [id, other] of this.tasks) {
      const info = this.plan.tasks[id];
      const isOf = info?.item === item && info.range[0] >= range[0] && info.range[1] <= range[1];
      if (isOf && id !== task && isOpen(other)) this.set(id, { status: "skipped", start: minute, end: minute, gone });
    }
  }
}

/** A task without what only matters while it runs. */
const over = ({ expectedEnd: _end, lookAgain: _look, ...rest }: TaskRun): TaskRun => rest;
