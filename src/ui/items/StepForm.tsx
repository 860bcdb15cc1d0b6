"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { editStep, heatedBy, removeStep, type StepEdit } from "@/core/item/step-edit";
import { followsRoom } from "@/core/item/rest-in-room";
import type { Item } from "@/core/item/schema";
import { ATTENTION, LONGEST_TITLE, type Step } from "@/core/item/step";
import { addableAfter, addStep, canMove, moveStep, splitStep, type Addable } from "@/core/item/step-add";
import { VERB } from "@/core/plan/task-text";
import { unitBySize } from "@/core/quantities/oven-text";
import { celsiusOf, fahrenheitOf } from "@/core/quantities/temperature";
import { useDisplay } from "../kit/use-display";
import { lengthText } from "@/core/shared/clock";
import type { Result } from "@/core/shared/issue";
import { issueText } from "@/core/shared/issue-text";
import { NumberField } from "../kit/NumberField";
import { COLOUR } from "../theme/tokens";
import { RestByRoom } from "./RestByRoom";
import { StepLinks } from "./StepLinks";
import { StepTools } from "./StepTools";

interface Props {
  readonly item: Item;
  readonly id: string;
  readonly onChange: (item: Item) => void;
  /** The core that what is in it asks for at this step, °C. */
  readonly leastCoreC: number | undefined;
  /** What it leaves keeps so long by the usual guidance, h. */
  readonly mostHours: number | undefined;
  /** Opens another step, or none where this one was taken out. */
  readonly onOpen: (id: string | undefined) => void;
}

/** What can be put behind a step, as a cook says it. */
const ADD_WORD: Readonly<Record<Addable, string>> = {
  rest: "a rest",
  chill: "a chill",
  night: "a night in the fridge",
  work: "something by hand",
  "second-bake": "a second bake",
};

const ATTENTION_WORD: Readonly<Record<Step["attention"], string>> = {
  "hands-on": "hands stay with it",
  glance: "a look now and then",
  none: "none",
};

/** A setting in the cook's scale, to a whole degree. */
const settingIn = (celsius: number | undefined, scale: "C" | "F"): number | undefined =>
  celsius === undefined ? undefined : Math.round(scale === "F" ? fahrenheitOf(celsius) : celsius);

/** One step opened for change: its words, times and heat, and what it took in this kitchen. */
export function StepForm({ item, id, leastCoreC, mostHours, onChange, onOpen }: Props) {
  const { display } = useDisplay();
  const [refused, setRefused] = useState<string | undefined>(undefined);
  const step = item.steps.find((s) => s.id === id);
  if (!step) return null;
  /** Takes what a change comes to, or says why it is refused. */
  const take = <T,>(next: Result<T>, onTaken: (value: T) => void) => {
    setRefused(next.ok ? undefined : issueText(next.issues[0], "This step"));
    if (next.ok) onTaken(next.value);
  };
  const edit = (change: StepEdit) => take(editStep(item, id, change), onChange);
  const field = (label: string, value: number | undefined, key: keyof StepEdit, width = 130) => (
    <NumberField
      label={label}
      value={value}
      width={width}
      onChange={(v) => (v !== undefined ? edit({ [key]: v }) : key === "tookMin" ? edit({ tookMin: null }) : undefined)}
    />
  );
  const words = (label: string, value: string | undefined, key: "early" | "right" | "late" | "caution") => (
    <TextField
      label={label}
      multiline
      fullWidth
      value={value ?? ""}
      onChange={(e) => edit({ [key]: e.target.value.slice(0, 600) })}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
  const setHeat = (value: number) => {
    const celsius = display.heat === "F" ? celsiusOf(value) : value;
    // 300 and more is °F, whatever stands beside the field; that is asked, not guessed.
    if (display.heat === "C" && unitBySize(value) === "F")
      return setRefused(`Heat is ${value}; expected °C: ${value} °F would be ${Math.round(celsiusOf(value))} °C`);
    edit({ ovenC: Math.round(celsius * 10) / 10 });
  };
  const add = (what: Addable) =>
    take(addStep(item, id, what), (added) => {
      onChange(added.item);
      onOpen(added.id);
    });
  const stated = step.rest?.target ?? step.time.fixedMin;
  const took = step.tookMin;
  return (
    <Box
      sx={{ gridColumn: "1 / -1", background: COLOUR.page, p: 1.5, display: "grid", gap: 1.5 }}
      role="group"
      aria-label={`Change step ${id}`}
    >
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5 }}>
        {step.rest ? (
          <>
            {field("Shortest, min", step.rest.min, "restMin")}
            {field("Usual, min", step.rest.target, "restTarget")}
            {field("Longest, min", step.rest.max, "restMax")}
          </>
        ) : (
          <>
            {field("Minutes", step.time.fixedMin, "fixedMin", 100)}
            {field("Seconds a piece", step.time.secPerPiece, "secPerPiece")}
          </>
        )}
        {heatedBy(step) && (
          <NumberField
            label={`Heat, °${display.heat}`}
            value={settingIn(heatedBy(step)!.settingC, display.heat)}
            width={110}
            onChange={(v) => v !== undefined && setHeat(v)}
          />
        )}
        {field("Took here, min", took, "tookMin")}
      </Box>
      <TextField
        label="Called"
        value={step.title ?? ""}
        onChange={(e) => edit({ title: e.target.value.slice(0, LONGEST_TITLE) })}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { placeholder: VERB[step.kind] } }}
        sx={{ maxWidth: 380 }}
      />
      <TextField
        label="What is done"
        multiline
        value={step.do}
        onChange={(e) => edit({ do: e.target.value.slice(0, 600) })}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      {step.rest && followsRoom(step.rest) && <RestByRoom rest={step.rest} />}
      <Box component="details">
        <Box component="summary" sx={{ cursor: "pointer", minHeight: 28, fontSize: "0.875rem", color: COLOUR.soft }}>
          How one sees it, what can hurt, whose hands, what it takes, what it waits for
        </Box>
        <Box sx={{ display: "grid", gridTemplateColumns: { sm: "1fr 1fr 1fr" }, gap: 1.5, mt: 1 }}>
          {words("Too early", step.cue?.early, "early")}
          {words("Right", step.cue?.see, "right")}
          {words("Too late", step.cue?.late, "late")}
          <Box sx={{ gridColumn: "1 / -1" }}>{words("Caution", step.caution, "caution")}</Box>
          <TextField
            select
            label="Attention"
            value={step.attention}
            onChange={(e) => edit({ attention: e.target.value as typeof step.attention })}
          >
            {ATTENTION.map((one) => (
              <MenuItem key={one} value={one}>
                {ATTENTION_WORD[one]}
              </MenuItem>
            ))}
          </TextField>
          {step.attention === "hands-on" && field("Pairs of hands", step.hands, "hands")}
          {step.hold && field("At its best for, min", step.hold.maxMin, "holdMin")}
          <StepLinks item={item} step={step} mostHours={mostHours} onTake={(next) => take(next, onChange)} />
          <StepTools item={item} step={step} leastCoreC={leastCoreC} onTake={(next) => take(next, onChange)} />
        </Box>
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
        {addableAfter(step).length > 0 && (
          <>
            <Box component="span" sx={{ fontSize: "0.85rem", color: COLOUR.soft }}>
              Add after it:
            </Box>
            {addableAfter(step).map((what) => (
              <Button key={what} size="small" variant="outlined" onClick={() => add(what)}>
                {ADD_WORD[what]}
              </Button>
            ))}
          </>
        )}
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, ml: { sm: "auto" } }}>
          <Button
            size="small"
            disabled={!canMove(item, id, "earlier")}
            onClick={() => take(moveStep(item, id, "earlier"), onChange)}
          >
            Earlier
          </Button>
          <Button size="small" disabled={!canMove(item, id, "later")} onClick={() => take(moveStep(item, id, "later"), onChange)}>
            Later
          </Button>
          <Button size="small" onClick={() => take(splitStep(item, id), (split) => onChange(split.item))}>
            In two
          </Button>
          <Button
            size="small"
            onClick={() => {
              onChange(removeStep(item, id));
              onOpen(undefined);
            }}
          >
            Take this step out
          </Button>
        </Box>
      </Box>
      {refused && (
        <Box role="alert" sx={{ color: COLOUR.ember }}>
          {refused}
        </Box>
      )}
      {took !== undefined && took > stated && (
        <Box sx={{ color: COLOUR.tide }}>
          The recipe says {lengthText(stated)}, here it took {lengthText(took)}: {lengthText(stated)} to {lengthText(took)} is
          expected and {lengthText(took)} is kept free.
        </Box>
      )}
    </Box>
  );
}
