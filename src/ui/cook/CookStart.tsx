"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { issueText } from "@/core/shared/issue-text";
import type { Result } from "@/core/shared/issue";
import { Banner } from "../kit/Banner";
import { Empty } from "../kit/Empty";
import { usePlan } from "../plan/PlanProvider";
import { momentText } from "../plan/plan-summary";
import { usePlanDisplay } from "../plan/use-plan-display";
import { COLOUR } from "../theme/tokens";

/** A large plan is kept in pieces: so often, and after such pauses, is it asked whether it is there. */
const TRIES = 30;
const PAUSE_MS = 400;

interface Props {
  readonly gathering: string;
  readonly runs: readonly { readonly id: string; readonly startedAt: string; readonly shiftMs: number }[];
  readonly begin: (input: { gathering: string; practice: boolean; cost: number }) => Promise<Result<{ id: string }>>;
}

/** From a plan to the day itself: begin it, practise it, or go on with one that was begun. */
export function CookStart({ gathering, runs, begin }: Props) {
  const { good, keepAgain, stop } = usePlan();
  const { clock } = usePlanDisplay(good?.plan);
  const router = useRouter();
  const [trouble, setTrouble] = useState<string>();
  const [isBusy, setBusy] = useState(false);
  const start = async (practice: boolean) => {
    if (!good) return;
    setBusy(true);
    setTrouble(undefined);
    // What is cooked is the plan that is seen: the search ends with it, and it is kept before it is begun.
    stop();
    keepAgain();
    const { cost } = good.plan.solution;
    let answer = await begin({ gathering, practice, cost });
    for (let tries = 0; !answer.ok && answer.issues[0].code === "unknown" && tries < TRIES; tries++) {
      await new Promise((wake) => setTimeout(wake, PAUSE_MS));
      answer = await begin({ gathering, practice, cost });
    }
    if (answer.ok) router.push(`/cook/${answer.value.id}`);
    else {
      setTrouble(issueText(answer.issues[0]));
      setBusy(false);
    }
  };
  if (!good || good.plan.solution.tasks.length === 0)
    return <Empty title="Nothing to cook yet">A day is cooked from its plan: as soon as one fits, it can be begun here.</Empty>;
  const first = Math.min(...good.plan.solution.tasks.map((task) => task.start));
  return (
    <Box sx={{ display: "grid", gap: 2, maxWidth: 720 }}>
      <Paper sx={{ p: 2.5 }}>
        <Typography variant="h2" gutterBottom>
          Hands begin {momentText(good.plan, first, true, clock)}
        </Typography>
        <Typography sx={{ mb: 2 }}>
          What each cook does now and next, the clocks of everything that runs by itself, and the rest of the day planned again
          when something slips. Practising begins at the first step whatever the time is, and changes nothing here.
        </Typography>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5 }}>
          <Button variant="contained" disabled={isBusy} sx={{ minHeight: 44 }} onClick={() => void start(false)}>
            Cook this plan
          </Button>
          <Button variant="outlined" disabled={isBusy} sx={{ minHeight: 44 }} onClick={() => void start(true)}>
            Practise it
          </Button>
        </Box>
        {trouble && (
          <Box sx={{ mt: 1.5 }}>
            <Banner kind="refused" role="alert" title={trouble} />
          </Box>
        )}
      </Paper>
      {runs.length > 0 && (
        <Paper component="section" aria-label="Begun before" sx={{ p: 2.5 }}>
          <Typography variant="h3" gutterBottom>
            Begun before
          </Typography>
          {runs.map((run) => (
            <Box
              key={run.id}
              component={Link}
              href={`/cook/${run.id}`}
              sx={{ display: "block", py: 1, color: COLOUR.tide, fontWeight: 600 }}
            >
              {run.shiftMs === 0 ? "Cooked" : "Practised"} from {run.startedAt.slice(0, 10)} {run.startedAt.slice(11, 16)} UTC
            </Box>
          ))}
        </Paper>
      )}
    </Box>
  );
}
