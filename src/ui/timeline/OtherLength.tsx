"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { GatheringInput } from "@/core/gathering/schema";
import { lengthText } from "@/core/shared/clock";
import { NumberField } from "../kit/NumberField";
import { useDraft, usePlan } from "../plan/PlanProvider";
import { COLOUR } from "../theme/tokens";

const LEAST_MIN = 0.5;
const MOST_MIN = 2880;

interface Props {
  readonly item: string;
  readonly step: string;
  /** As long as it is planned, min. */
  readonly minutes: number;
}

const without = ({ lengths = [], ...gathering }: GatheringInput, item: string, step: string): GatheringInput => {
  const others = lengths.filter((one) => one.recipe !== item || one.step !== step);
  return { ...gathering, ...(others.length > 0 && { lengths: others }) };
};

/** The length of a step by the cook's own word, for this gathering only: the plan follows, and the way back stands beside it. */
export function OtherLength({ item, step, minutes }: Props) {
  const { change } = usePlan();
  const { draft } = useDraft();
  const [typed, setTyped] = useState<number | undefined>(undefined);
  const own = draft.lengths?.find((one) => one.recipe === item && one.step === step);
  const wrong =
    typed !== undefined && !(typed >= LEAST_MIN && typed <= MOST_MIN)
      ? `Minutes are ${Number.isNaN(typed) ? "not a number" : typed}; expected ${LEAST_MIN} to ${MOST_MIN}`
      : undefined;
  const take = () => {
    if (typed === undefined || wrong) return;
    // In proportion to what is planned without anybody's word.
    const instead = own ? (own.instead * minutes) / own.minutes : minutes;
    change((d) => {
      const rest = without(d, item, step);
      return { ...rest, lengths: [...(rest.lengths ?? []), { recipe: item, step, minutes: typed, instead }] };
    });
  };
  return (
    <Box sx={{ mt: 1, fontSize: "0.85rem" }} role="group" aria-label="Another length">
      <Box sx={{ display: "flex", alignItems: "flex-start", gap: 1, flexWrap: "wrap" }}>
        <NumberField
          label="Takes here, min"
          value={typed}
          placeholder={String(minutes)}
          onChange={setTyped}
          error={wrong}
          width={120}
        />
        <Button
          variant="outlined"
          size="small"
          onClick={take}
          disabled={typed === undefined || wrong !== undefined}
          sx={{ mt: 0.5 }}
        >
          Plan with it
        </Button>
      </Box>
      {own && (
        <Box sx={{ color: COLOUR.tide }}>
          {lengthText(Math.round(own.minutes))} by your word, instead of {lengthText(Math.round(own.instead))}.
          <Button size="small" onClick={() => change((d) => without(d, item, step))}>
            Back to that
          </Button>
        </Box>
      )}
    </Box>
  );
}
