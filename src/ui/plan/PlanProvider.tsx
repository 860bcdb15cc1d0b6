"use client";
import { createContext, startTransition, Suspense, use, useContext, useEffect, useMemo, useState, type ReactNode } from "react";
import { flushSync } from "react-dom";
import type { Gathering } from "@/core/gathering/schema";
import { KEPT_PLAN_DOCUMENT, type KeptPlan } from "@/core/plan/kept-plan";
import type { Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { prepare, runPlan } from "@/workers/plan.client";
import { useReleased } from "../kit/use-released";
import type { Revised } from "../session/document-session";
import { browserTimers } from "../session/platform";
import { useOutbox } from "../session/OutboxProvider";
import { useDocument, type DocumentForm } from "../session/use-document";
import { PlanSession, type PlanState } from "./plan-session";
import { gatheringIsRight, type Draft, type Source } from "./plan-state";

interface PlanContextValue extends PlanState, Pick<PlanSession, "stop" | "goOn" | "keepAgain"> {
  readonly source: Source;
  readonly change: (edit: (draft: Draft) => Draft) => void;
  /** Plans with the kitchen as it is now, where the plan at hand was made with it as it was. */
  readonly takeKitchenOver: () => void;
}

const DraftContext = createContext<DocumentForm<Draft> | undefined>(undefined);
const PlanContext = createContext<PlanContextValue | undefined>(undefined);

/** The form as it is typed. Apart from all that follows from it, so that a key does not draw the whole page anew. */
export function useDraft(): DocumentForm<Draft> {
  const value = useContext(DraftContext);
  if (!value) throw new Error("useDraft needs a PlanProvider");
  return value;
}

export function usePlan(): PlanContextValue {
  const value = useContext(PlanContext);
  if (!value) throw new Error("usePlan needs a PlanProvider");
  return value;
}

interface Props {
  readonly source: Source;
  readonly initial: Revised<Gathering>;
  readonly stored: KeptPlan | undefined;
  readonly saveGathering: (draft: Draft, from: number) => Promise<Result<{ readonly revision: number }>>;
  readonly children: ReactNode;
}

/** Binds the sessions of one gathering, its form and its plan, to all views of it. */
export function PlanProvider({ source: given, initial, stored, saveGathering, children }: Props) {
  const outbox = useOutbox();
  const [source, setSource] = useState(given);
  const planLetter = `plan-${initial.document.id}`;
  const form = useDocument<Draft>({
    key: `gathering-${initial.document.id}`,
    kind: "gathering",
    initial,
    isRight: gatheringIsRight,
    save: saveGathering,
  });
  const { whenReleased, released } = useReleased();
  const [session] = useState(
    () =>
      new PlanSession({
        source,
        draft: form.draft,
        stored,
        planner: { run: runPlan, prepare },
        keep: (kept) => outbox.post(planLetter, "plan", kept, 0),
        timers: browserTimers,
        whenReleased,
      }),
  );
  const [state, setState] = useState(session.state);
  useEffect(() => {
    // Drawn in the same moment in which nothing is pressed, or held back at its end: nothing moves under a hand.
    const show = (urgent: boolean) =>
      urgent ? flushSync(() => setState(session.state)) : startTransition(() => setState(session.state));
    const stop = session.subscribe(show);
    let isHere = true;
    void outbox.waitsFor(planLetter).then((letter) => {
      if (!isHere) return;
      const onDevice = letter && parseWith(KEPT_PLAN_DOCUMENT.schema, letter.body);
      session.open(onDevice?.ok ? onDevice.value : undefined);
    });
    return () => {
      isHere = false;
      stop();
      session.close();
    };
  }, [session, outbox, planLetter]);
  useEffect(() => session.type(form.draft), [session, form.draft]);
  useEffect(() => session.use(source), [session, source]);

  const value = useMemo(
    () => ({
      ...state,
      source,
      change: form.change,
      takeKitchenOver: () => setSource(({ planned: _before, ...rest }) => rest),
      stop: session.stop,
      goOn: session.goOn,
      keepAgain: session.keepAgain,
    }),
    [state, source, form.change, session],
  );
  return (
    <DraftContext.Provider value={form}>
      <PlanContext.Provider value={value}>
        {children}
        <Suspense fallback={null}>
          <HeldBack state={state} released={released} />
        </Suspense>
      </PlanContext.Provider>
    </DraftContext.Provider>
  );
}

/**
 * Drawn last. A change that gives way to whoever types takes its time to be drawn, and somebody may press something
 * meanwhile: then it is not shown before that is let go.
 */
function HeldBack({ released }: { readonly state: PlanState; readonly released: () => Promise<void> | undefined }) {
  const pressed = released();
  if (pressed) use(pressed);
  return null;
}
