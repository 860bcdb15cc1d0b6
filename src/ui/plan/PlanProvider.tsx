"use client";
import {
  createContext,
  startTransition,
  useCallback,
  useContext,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from "react";
import type { Plan } from "@/core/plan/schema";
import type { PlanRequest } from "@/core/plan/request";
import type { Progress } from "@/core/schedule/budget";
import { PAUSE_MS, useAutosave, type Saving } from "../kit/use-autosave";
import { useReleased } from "../kit/use-released";
import { prepare, runPlan } from "@/workers/plan.client";
import { checkDraft, planKey, type Checked, type Draft, type Source } from "./plan-state";

export interface GoodPlan {
  readonly request: PlanRequest;
  readonly plan: Plan;
}

export type Work =
  | { readonly kind: "idle" }
  | { readonly kind: "searching"; readonly progress?: Progress }
  | { readonly kind: "improving" }
  | { readonly kind: "refused"; readonly plan: Plan };

const IMPROVING: Work = { kind: "improving" };

interface DraftContextValue {
  readonly draft: Draft;
  readonly saving: Saving;
}

interface PlanContextValue {
  readonly source: Source;
  readonly change: (edit: (draft: Draft) => Draft) => void;
  readonly checked: Checked;
  /** Quantities of the last draft that was right. */
  readonly latest: Extract<Checked, { ok: true }> | undefined;
  readonly good: GoodPlan | undefined;
  /** True while the plan shown belongs to another state of the form. */
  readonly stale: boolean;
  readonly work: Work;
  readonly stop: () => void;
  /** Searches on for something better than the plan at hand. */
  readonly goOn: () => void;
}

const DraftContext = createContext<DraftContextValue | undefined>(undefined);
const PlanContext = createContext<PlanContextValue | undefined>(undefined);

/** The form as it is typed. Apart from all that follows from it, so that a key does not draw the whole page anew. */
export function useDraft(): DraftContextValue {
  const value = useContext(DraftContext);
  if (!value) throw new Error("useDraft needs a PlanProvider");
  return value;
}

export function usePlan(): PlanContextValue {
  const value = useContext(PlanContext);
  if (!value) throw new Error("usePlan needs a PlanProvider");
  return value;
}

/** The first plan is drawn before it is kept and a worker made ready for the next question: both take time from it, ms. */
const DRAWN_MS = 1000;
/** A plan that gets better is kept at most this often, ms. */
const KEEP_MS = 2500;

interface Props {
  readonly source: Source;
  readonly initial: Draft;
  readonly stored: GoodPlan | undefined;
  readonly saveGathering: (draft: Draft) => Promise<{ ok: boolean }>;
  readonly savePlan: (good: GoodPlan) => Promise<{ ok: boolean }>;
  readonly children: ReactNode;
}

/** Holds the form, its checked request, the quantities and the last good plan for all views of one gathering. */
export function PlanProvider({ source, initial, stored, saveGathering, savePlan, children }: Props) {
  const [draft, setDraft] = useState(initial);
  const [good, setGood] = useState(stored);
  const [work, setWork] = useState<Work>({ kind: "idle" });
  const run = useRef<{ cancel: () => void } | undefined>(undefined);
  /** The last plan that the search at work has found: what is shown may be the one before. */
  const newest = useRef<GoodPlan | undefined>(undefined);
  /** Runs while it is still to be kept. */
  const keeping = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const stopKeeping = useCallback(() => {
    clearTimeout(keeping.current);
    keeping.current = undefined;
  }, []);

  // What is typed is on the screen before it is checked and weighed, and a key pressed meanwhile comes first.
  const settled = useDeferredValue(draft);
  const checked = useMemo(() => checkDraft(settled, source), [settled, source]);
  const [latest, setLatest] = useState(checked.ok ? checked : undefined);
  if (checked.ok && latest !== checked) setLatest(checked);

  const saving = useAutosave(draft, checked.ok, saveGathering);

  const change = useCallback((edit: (draft: Draft) => Draft) => setDraft(edit), []);
  const stop = useCallback(() => {
    run.current?.cancel();
    run.current = undefined;
    stopKeeping();
    setWork({ kind: "idle" });
    // What was found before the cook said "good enough" is the plan.
    if (!newest.current) return;
    setGood(newest.current);
    void savePlan(newest.current);
  }, [savePlan, stopKeeping]);

  const goodKey = useMemo(() => (good ? planKey(good.request) : ""), [good]);
  const wantedKey = useMemo(() => (checked.ok ? planKey(checked.request) : ""), [checked]);
  const runKey = useRef("");

  // The plan at hand is read when a search begins; that it gets better must not begin another one.
  const atHand = useRef(good);
  useEffect(() => {
    atHand.current = good;
  }, [good]);

  const whenReleased = useReleased();
  const start = useCallback(
    (request: PlanRequest, key: string) => {
      run.current?.cancel();
      runKey.current = key;
      setWork({ kind: "searching" });
      stopKeeping();
      newest.current = undefined;
      let kept = false;
      let first = true;
      const told = {
        better(plan: Plan) {
          if (run.current !== mine) return;
          const found = (newest.current = { request, plan });
          whenReleased(() => {
            if (run.current !== mine) return;
            const show = () => {
              setGood(found);
              setWork(IMPROVING);
            };
            // The first plan is waited for; better ones give way to whoever types.
            if (first) show();
            else startTransition(show);
            first = false;
          });
          // Kept once it is drawn and then now and again: whoever leaves before the search ends finds what there was.
          keeping.current ??= setTimeout(
            () => {
              kept = true;
              void savePlan(newest.current!);
              prepare(newest.current!.plan);
              stopKeeping();
            },
            kept ? KEEP_MS : DRAWN_MS,
          );
        },
        progress(progress: Progress) {
          if (run.current === mine) setWork((now) => (now.kind === "searching" ? { ...now, progress } : now));
        },
      };
      const mine = runPlan(request, told, atHand.current?.plan);
      run.current = mine;
      mine.done.then((plan) => {
        if (run.current !== mine) return;
        run.current = undefined;
        stopKeeping();
        if (plan.solution.status === "infeasible") return setWork({ kind: "refused", plan });
        const last = (newest.current = { request, plan });
        whenReleased(() => {
          if (run.current) return;
          setGood(last);
          setWork({ kind: "idle" });
        });
        void savePlan(last);
        prepare(plan);
      });
    },
    [savePlan, stopKeeping, whenReleased],
  );

  useEffect(() => {
    if (!checked.ok || wantedKey === runKey.current) return;
    if (runKey.current === "" && wantedKey === goodKey) {
      runKey.current = wantedKey;
      return;
    }
    run.current?.cancel();
    // Nobody is typing yet when a page has just opened.
    const timer = setTimeout(() => start(checked.request, wantedKey), runKey.current === "" ? 0 : PAUSE_MS);
    return () => clearTimeout(timer);
  }, [checked, wantedKey, goodKey, start]);

  const goOn = useCallback(() => {
    if (checked.ok) start(checked.request, wantedKey);
  }, [checked, wantedKey, start]);

  useEffect(
    () => () => {
      run.current?.cancel();
      if (keeping.current) void savePlan(newest.current!);
      stopKeeping();
    },
    [savePlan, stopKeeping],
  );
  // The next question will come, whatever it is.
  useEffect(() => prepare(stored?.plan), [stored]);

  const value = useMemo(
    () => ({ source, change, checked, latest, good, stale: goodKey !== wantedKey, work, stop, goOn }),
    [source, change, checked, latest, good, goodKey, wantedKey, work, stop, goOn],
  );
  const form = useMemo(() => ({ draft, saving }), [draft, saving]);
  return (
    <DraftContext.Provider value={form}>
      <PlanContext.Provider value={value}>{children}</PlanContext.Provider>
    </DraftContext.Provider>
  );
}
