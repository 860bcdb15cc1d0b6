import type { KeptPlan } from "@/core/plan/kept-plan";
import type { PlanRequest } from "@/core/plan/request";
import type { Plan } from "@/core/plan/schema";
import type { Progress } from "@/core/schedule/budget";
import { fail, type Issue, type Result } from "@/core/shared/issue";
import type { Run } from "@/workers/plan.client";
import { PAUSE_MS } from "../session/document-session";
import { NO_ANSWER } from "../session/outbox";
import type { Timers } from "../session/platform";
import { afterMinutes, checkDraft, planKey, type Checked, type Draft, type Source } from "./plan-state";

export interface GoodPlan {
  readonly request: PlanRequest;
  readonly plan: Plan;
}

export type Work =
  | { readonly kind: "idle" }
  /** `refused`: what the search before came to, which stays until there is an answer. */
  | { readonly kind: "searching"; readonly progress?: Progress; readonly refused?: Plan }
  | { readonly kind: "improving" }
  | { readonly kind: "refused"; readonly plan: Plan }
  /** The worker broke down; nothing is looked for until somebody tries again. */
  | { readonly kind: "failed"; readonly issue: Issue };

export interface PlanState {
  readonly checked: Checked;
  /** Quantities of the last draft that was right. */
  readonly latest: Extract<Checked, { ok: true }> | undefined;
  readonly good: GoodPlan | undefined;
  /** True while the plan shown belongs to another state of the form. */
  readonly stale: boolean;
  readonly work: Work;
  /** Why the plan shown could not be kept; undefined while nothing is wrong. */
  readonly notKept: Issue | undefined;
  /** The plan shown was kept while a better one was still looked for, and the search goes on from it. */
  readonly goesOn: boolean;
}

/** The refusal that stands: the last answer, or the one before where another is looked for. */
export const refusedIn = (work: Work): Plan | undefined =>
  work.kind === "refused" ? work.plan : work.kind === "searching" ? work.refused : undefined;

/** Whoever plans: a worker in the browser, a stand-in in tests. */
export interface Planner {
  readonly run: (
    request: PlanRequest,
    told: { better: (plan: Plan) => void; progress: (state: Progress) => void },
    from?: Plan,
  ) => Run<Plan>;
  /** Has somebody ready for the next question. */
  readonly prepare: (plan: Plan | undefined) => void;
}

export interface PlanSessionOptions {
  readonly source: Source;
  readonly draft: Draft;
  readonly stored: KeptPlan | undefined;
  readonly planner: Planner;
  readonly keep: (kept: KeptPlan) => Promise<Result<unknown>>;
  readonly timers: Timers;
  /** Runs a change of the screen that nobody asked for when nothing is pressed. */
  readonly whenReleased: (change: () => void) => void;
}

/** What is typed is drawn within so many ms, before it is checked and weighed. */
export const FRAME_MS = 30;
/** The first plan is drawn before it is kept and a worker made ready for the next question: both take time from it, ms. */
const DRAWN_MS = 1000;
/** Stands for the request of a search that was ended before its time; no request has this key. */
const GIVEN_UP = "given up";
/** Where no plan was found, the next search takes so many times as long, up to so many seconds. */
const LONGER = 3;
const MOST_SECONDS = 600;
/** A plan that gets better is kept at most this often, ms. */
const KEEP_MS = 2500;

/**
 * What is at work on one gathering's plan: the checked request, the search, the plan shown, and its keeping. A plain object
 * with an injected planner and timers; the provider only binds it.
 *
 * Invariants: at most one search is under way, and only what it tells is shown (`run` is it); `good` is the last plan that
 * works, whatever the form says; every plan that was shown is kept in the end, the last of a search as ended.
 */
export class PlanSession {
  private source: Source;
  /** When the page was asked for, ms of the timers. */
  private readonly openedAt: number;
  private now: PlanState;
  private run: Run<Plan> | undefined;
  /** The last plan that the search at work has found: what is shown may be the one before. */
  private newest: GoodPlan | undefined;
  /** Runs while `newest` is still to be kept. */
  private keeping: unknown;
  private checking: unknown;
  private checkedDraft: Draft;
  private waiting: unknown;
  /** What was searched for last. */
  private searched: PlanRequest | undefined;
  /** Key of the request that was searched for last; "" before any. */
  private runKey = "";
  private wantedKey: string;
  private goodKey: string;
  private readonly listeners = new Set<(urgent: boolean) => void>();

  constructor(private readonly options: PlanSessionOptions) {
    const { draft, source, stored } = options;
    this.source = source;
    this.openedAt = options.timers.now();
    const checked = checkDraft(draft, source);
    this.checkedDraft = draft;
    const good = stored && { request: stored.request, plan: stored.plan };
    this.wantedKey = checked.ok ? planKey(checked.request) : "";
    this.goodKey = good ? planKey(good.request) : "";
    this.now = {
      checked,
      latest: checked.ok ? checked : undefined,
      good,
      stale: this.goodKey !== this.wantedKey,
      work: { kind: "idle" },
      notKept: undefined,
      goesOn: stored?.search === "cut-off" && this.goodKey === this.wantedKey,
    };
  }

  /** What is known of the day, with the time that it is by now. */
  private sourceNow(): Source {
    return afterMinutes(this.source, Math.floor((this.options.timers.now() - this.openedAt) / 60_000));
  }

  get state(): PlanState {
    return this.now;
  }

  /** Told of every change; `urgent` false: it may give way to whoever types. @returns how to stop listening */
  readonly subscribe = (tell: (urgent: boolean) => void): (() => void) => {
    this.listeners.add(tell);
    return () => this.listeners.delete(tell);
  };

  /**
   * The page is there: looks for a plan unless the one that was kept is for this very request and was searched to its end.
   * @param onDevice a plan that is newer than the server's, and still on its way there
   */
  readonly open = (onDevice?: KeptPlan): void => this.options.whenReleased(() => this.opened(onDevice));

  private opened(onDevice: KeptPlan | undefined): void {
    if (onDevice) {
      const { request, plan, search } = onDevice;
      this.goodKey = planKey(request);
      const stale = this.goodKey !== this.wantedKey;
      this.tell({ good: { request, plan }, stale, goesOn: search === "cut-off" && !stale });
    }
    this.options.planner.prepare(this.now.good?.plan);
    if (this.now.goesOn) this.goOn();
    else this.want(0);
  }

  /** The form changed. It is checked once it is drawn, and a plan is looked for when typing pauses. */
  readonly type = (draft: Draft): void => {
    if (draft !== this.checkedDraft) this.check(draft);
  };

  /** What the form is checked against is another now: the plan follows. */
  readonly use = (source: Source): void => {
    if (source === this.source) return;
    this.source = source;
    this.check(this.checkedDraft);
  };

  private check(draft: Draft): void {
    const { timers, whenReleased } = this.options;
    this.checkedDraft = draft;
    if (this.checking !== undefined) timers.clear(this.checking);
    this.checking = timers.set(() => {
      this.checking = undefined;
      whenReleased(() => {
        if (draft !== this.checkedDraft) return;
        const checked = checkDraft(draft, this.sourceNow());
        if (checked.ok) this.wantedKey = planKey(checked.request);
        this.tell({
          checked,
          ...(checked.ok && { latest: checked }),
          stale: !checked.ok || this.goodKey !== this.wantedKey,
        });
        this.want(PAUSE_MS);
      });
    }, FRAME_MS);
  }

  /** "Good enough": the newest plan, also one that is not drawn yet, is the plan. */
  readonly stop = (): void => {
    this.run?.cancel();
    this.run = undefined;
    this.stopKeeping();
    this.tell({ work: { kind: "idle" } });
    if (!this.newest) return;
    this.show(this.newest);
    this.keep(this.newest, "ended");
  };

  /** Searches on for something better than the plan at hand, or tries again what failed; where no plan was found, longer and another way. */
  readonly goOn = (): void => {
    const { checked, work } = this.now;
    if (!checked.ok) return;
    const { request } = checked;
    if (work.kind !== "refused") return this.start(request);
    const { seconds, seed = 1 } = this.searched?.solve ?? request.solve;
    this.start({ ...request, solve: { seconds: seconds && Math.min(MOST_SECONDS, LONGER * seconds), seed: seed + 1 } });
  };

  /** Tries again to keep the plan shown. */
  readonly keepAgain = (): void => {
    if (this.now.good) this.keep(this.now.good, this.run ? "cut-off" : "ended");
  };

  /** The page is left: the search ends, and what it found so far is kept as cut off. */
  readonly close = (): void => {
    const { timers } = this.options;
    for (const timer of [this.checking, this.waiting]) if (timer !== undefined) timers.clear(timer);
    const atWork = this.run !== undefined;
    this.run?.cancel();
    this.run = undefined;
    if (atWork) this.runKey = GIVEN_UP;
    if (atWork && this.newest) this.keep(this.newest, "cut-off");
    this.stopKeeping();
  };

  private want(after: number): void {
    const { checked } = this.now;
    const { timers } = this.options;
    if (!checked.ok || this.wantedKey === this.runKey) return;
    if (this.waiting !== undefined) timers.clear(this.waiting);
    if (this.runKey === "" && this.wantedKey === this.goodKey) {
      this.runKey = this.wantedKey;
      return;
    }
    this.giveUp();
    this.waiting = timers.set(() => {
      this.waiting = undefined;
      this.options.whenReleased(() => {
        if (this.now.checked.ok && this.wantedKey !== this.runKey) this.start(this.now.checked.request);
      });
    }, after);
  }

  /** Ends a search whose day is another now. Whoever goes back to that day has it begun again. */
  private giveUp(): void {
    if (!this.run) return;
    this.run.cancel();
    this.run = undefined;
    this.runKey = GIVEN_UP;
    const refused = refusedIn(this.now.work);
    this.tell({ work: refused ? { kind: "refused", plan: refused } : { kind: "idle" } });
  }

  private start(request: PlanRequest): void {
    const { planner, whenReleased } = this.options;
    this.run?.cancel();
    this.searched = request;
    this.runKey = this.wantedKey;
    this.stopKeeping();
    this.newest = undefined;
    const refused = refusedIn(this.now.work);
    const searching = { kind: "searching", ...(refused && { refused }) } as const;
    this.tell({ work: searching });
    let kept = false;
    let first = true;
    const mine = planner.run(
      request,
      {
        better: (plan) => {
          if (this.run !== mine) return;
          const found = (this.newest = { request, plan });
          whenReleased(() => {
            if (this.run !== mine) return;
            // The first plan is waited for; better ones give way to whoever types.
            this.show(found, { kind: "improving" }, first);
            first = false;
          });
          // Kept once it is drawn and then now and again: whoever leaves before the search ends finds what there was.
          this.keeping ??= this.options.timers.set(
            () => {
              this.keeping = undefined;
              kept = true;
              this.keep(this.newest!, "cut-off");
              planner.prepare(this.newest!.plan);
            },
            kept ? KEEP_MS : DRAWN_MS,
          );
        },
        progress: (progress) => {
          if (this.run === mine && this.now.work.kind === "searching") this.tell({ work: { ...searching, progress } });
        },
      },
      this.now.good?.plan,
    );
    this.run = mine;
    mine.done.then((answer) => {
      if (this.run !== mine) return;
      this.run = undefined;
      this.stopKeeping();
      const told = (work: Work) =>
        whenReleased(() => {
          if (!this.run) this.tell({ work });
        });
      if (!answer.ok) return told({ kind: "failed", issue: answer.issues[0] });
      const plan = answer.value;
      if (plan.solution.status === "infeasible") return told({ kind: "refused", plan });
      const last = (this.newest = { request, plan });
      whenReleased(() => {
        if (!this.run) this.show(last, { kind: "idle" });
      });
      this.keep(last, "ended");
      planner.prepare(plan);
    });
  }

  private show(good: GoodPlan, work?: Work, urgent = true): void {
    this.goodKey = planKey(good.request);
    this.tell(
      {
        good,
        stale: this.goodKey !== this.wantedKey,
        ...(work && { work }),
        ...(work?.kind !== "improving" && { goesOn: false }),
      },
      urgent,
    );
  }

  private keep({ request, plan }: GoodPlan, search: KeptPlan["search"]): void {
    this.options
      .keep({ request, plan, search } as KeptPlan)
      .catch((): Result<unknown> => fail({ code: "failed", path: [], got: NO_ANSWER }))
      .then((answer) => this.tell({ notKept: answer.ok ? undefined : answer.issues[0] }));
  }

  private stopKeeping(): void {
    if (this.keeping !== undefined) this.options.timers.clear(this.keeping);
    this.keeping = undefined;
  }

  private tell(change: Partial<PlanState>, urgent = true): void {
    this.now = { ...this.now, ...change };
    this.listeners.forEach((tell) => tell(urgent));
  }
}
