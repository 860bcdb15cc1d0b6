"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import type { Result } from "@/core/shared/issue";
import type { Reordered, Wish } from "@/core/run/reorder";
import { slipOfRest, slipSentence } from "@/core/run/run-text";
import { tryOrder } from "@/workers/plan.client";
import { Banner } from "../kit/Banner";
import { useCookedDay } from "./cook-context";
import type { Say } from "./say";

const REFUSED = {
  over: "one of the two has begun already.",
  needs: "it needs what the other leaves.",
  "no-room": "hands, heat and waits leave no room for it.",
} as const;

/** An order that somebody wants, tried out before it counts: what it comes to, or why it cannot be. */
export function OrderWish({ wish, say, onOver }: { wish: Wish; say: Say; onOver: () => void }) {
  const { plan, state, minute, shown } = useCookedDay();
  const [answer, setAnswer] = useState<Result<Reordered>>();
  useEffect(() => {
    const run = tryOrder(plan, state.counted.events, wish, minute);
    void run.done.then(setAnswer);
    return run.cancel;
    // Tried once, of what stands then.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wish]);
  const what = `${shown.task(wish.task)} ${wish.place} ${shown.task(wish.other)}`;
  const got = answer?.ok ? answer.value : undefined;
  const text = !answer
    ? "Trying …"
    : !got
      ? "It could not be tried; once more, please."
      : got.ok
        ? slipSentence(plan, slipOfRest(plan, got.rest, state), shown.task, shown.clock)
        : `It cannot be: ${REFUSED[got.code]}`;
  return (
    <Box sx={{ mb: 1.5 }}>
      <Banner kind={got && !got.ok ? "refused" : "note"} role="status" title={what}>
        {text}
        <Box sx={{ display: "flex", gap: 1, mt: 1 }}>
          {got?.ok && (
            <Button
              variant="contained"
              sx={{ minHeight: 44 }}
              onClick={() => {
                say(got.tell);
                onOver();
              }}
            >
              In this order
            </Button>
          )}
          <Button sx={{ minHeight: 44 }} onClick={onOver}>
            {got?.ok ? "Leave it as it is" : "All right"}
          </Button>
        </Box>
      </Banner>
    </Box>
  );
}
