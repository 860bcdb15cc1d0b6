"use client";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { Item } from "@/core/item/schema";
import type { Step } from "@/core/item/step";
import { canSetLot, latestAfter, looksText, setKeeps, setLatestAfter, setLooks, setLot } from "@/core/item/step-links";
import type { Result } from "@/core/shared/issue";
import { issueText } from "@/core/shared/issue-text";
import { NumberField } from "../kit/NumberField";
import { TextCell } from "./TextCell";

const LOT_WORD: Readonly<Record<Step["lot"], string>> = {
  batch: "the whole batch at a time",
  tray: "a tray at a time",
  load: "a load at a time",
};

interface Props {
  readonly item: Item;
  readonly step: Step;
  /** What it leaves keeps so long by the usual guidance, h. */
  readonly mostHours: number | undefined;
  readonly onTake: (next: Result<Item>) => void;
}

/** How a step hangs together with the others: when one looks at it, how soon it follows, how long what it leaves keeps. */
export function StepLinks({ item, step, mostHours, onTake }: Props) {
  return (
    <>
      {step.attention !== "hands-on" && (
        <label>
          Looks: minute and how long, below 0 from the end
          <TextCell
            label="Looks"
            value={looksText(step)}
            placeholder="0 2, 14 1, -1 1"
            onType={(text) => {
              const next = setLooks(item, step.id, text);
              if (!next.ok) return issueText(next.issues[0], "Looks");
              onTake(next);
              return undefined;
            }}
          />
        </label>
      )}
      <NumberField
        label="After the one before, at most min"
        value={latestAfter(step)}
        width={250}
        late
        onChange={(minutes) => onTake(setLatestAfter(item, step.id, minutes))}
      />
      <NumberField
        label="What it leaves keeps, h"
        value={step.ahead?.hours}
        width={190}
        late
        onChange={(hours) => onTake(setKeeps(item, step.id, hours, mostHours))}
      />
      {canSetLot(step) && (
        <TextField
          select
          label="Done to"
          value={step.lot}
          onChange={(event) => onTake(setLot(item, step.id, event.target.value as Step["lot"]))}
        >
          {(Object.keys(LOT_WORD) as Step["lot"][]).map((lot) => (
            <MenuItem key={lot} value={lot}>
              {LOT_WORD[lot]}
            </MenuItem>
          ))}
        </TextField>
      )}
    </>
  );
}
