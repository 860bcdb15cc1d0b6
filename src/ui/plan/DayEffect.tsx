"use client";
import Box from "@mui/material/Box";
import Link from "next/link";
import { useEffect, useRef, useState } from "react";
import type { Gathering } from "@/core/gathering/schema";
import type { OwnIngredient } from "@/core/ingredients/own";
import type { Item } from "@/core/item/schema";
import type { Kitchen } from "@/core/kitchen/schema";
import { isProvenNo, type Plan } from "@/core/plan/schema";
import { lengthText } from "@/core/shared/clock";
import { runPlan, type Run } from "@/workers/plan.client";
import { Banner } from "../kit/Banner";
import { checkDraft } from "./plan-state";
import { dateText, momentText, summarise } from "./plan-summary";
import { usePlanDisplay } from "./use-plan-display";

export interface NextGathering {
  readonly gathering: Gathering;
  readonly today: string;
  readonly now: string;
  readonly zone: string;
  readonly own: readonly OwnIngredient[];
}

/** Time that each of the two plans gets, s, and the pause after the last change, ms. */
const SECONDS = 2;
const PAUSE_MS = 700;

/** What a day is planned with besides itself. */
export interface DayMeans {
  readonly items: readonly Item[];
  readonly kitchen: Kitchen;
}

interface Props<T> {
  readonly next: NextGathering;
  /** What is changed, as it was when the page was opened, and as it stands. */
  readonly before: T;
  readonly now: T;
  /** The day with one or the other; the same function at each drawing. */
  readonly meansWith: (one: T) => DayMeans;
}

/** What a change does to the next gathering that it concerns, in minutes; both planned anew for the same short time. */
export function DayEffect<T>({ next, before: opened, now: changed, meansWith }: Props<T>) {
  // The page is read again once a change is saved; what it was at first is what is compared with.
  const [before] = useState(opened);
  const [plans, setPlans] = useState<{ readonly of: T; readonly was: Plan; readonly is: Plan } | undefined>(undefined);
  const was = useRef<Plan | undefined>(undefined);
  const hasChanged = JSON.stringify(before) !== JSON.stringify(changed);
  useEffect(() => {
    if (!hasChanged) return undefined;
    const runs = new Set<Run<Plan>>();
    const planWith = async (one: T): Promise<Plan | undefined> => {
      const { gathering, ...rest } = next;
      const { items, kitchen } = meansWith(one);
      const checked = checkDraft({ ...gathering, kitchen: kitchen.id }, { ...rest, items, inUse: [], kitchens: [kitchen] });
      if (!checked.ok) return undefined;
      const run = runPlan(
        { ...checked.request, solve: { seconds: SECONDS, seed: 1 } },
        { better: () => undefined, progress: () => undefined },
      );
      runs.add(run);
      const answer = await run.done;
      return answer.ok ? answer.value : undefined;
    };
    let isHere = true;
    const pause = setTimeout(async () => {
      was.current ??= await planWith(before);
      const is = isHere ? await planWith(changed) : undefined;
      if (isHere && was.current && is) setPlans({ of: changed, was: was.current, is });
    }, PAUSE_MS);
    return () => {
      isHere = false;
      clearTimeout(pause);
      runs.forEach((run) => run.cancel());
    };
  }, [hasChanged, next, before, changed, meansWith]);
  if (!hasChanged) return null;
  const { gathering } = next;
  return (
    <Banner kind="note" role="status">
      <Box component="span" sx={{ fontWeight: 650 }}>
        For <Link href={`/g/${encodeURIComponent(gathering.id)}`}>{gathering.name}</Link>
        {"on" in gathering.date && `, ${dateText(gathering.date.on)}`}:
      </Box>{" "}
      {plans?.of === changed ? <Effect was={plans.was} is={plans.is} /> : "seeing what the change does …"}
    </Banner>
  );
}

function Effect({ was, is }: { was: Plan; is: Plan }) {
  const shown = usePlanDisplay(is);
  const [old, now] = [summarise(was), summarise(is)];
  if (!now) {
    const reasons = is.solution.status === "infeasible" ? shown.refusal() : [];
    if (!isProvenNo(is)) return <>no timetable was found in the short time for it, and it is not proven that there is none.</>;
    if (!old) return <>it does not fit, as before. {reasons[0]}</>;
    return <>it does not fit any more. {reasons[0]}</>;
  }
  const begins = momentText(is, now.firstStart, now.severalDays, shown.clock);
  if (!old) return <>now it fits: begin {begins}.</>;
  const hands = (plan: typeof now) => plan.cooks.reduce((sum, cook) => sum + cook.busy, 0);
  const more = hands(now) - hands(old);
  const parts = [
    more === 0 ? "as much work for the hands" : `${lengthText(Math.abs(more))} ${more > 0 ? "more" : "less"} of hands`,
    now.firstStart === old.firstStart && is.origin === was.origin
      ? `begin ${begins} as before`
      : `begin ${begins} instead of ${momentText(was, old.firstStart, old.severalDays, shown.clock)}`,
  ];
  return <>{parts.join(", ")}.</>;
}
