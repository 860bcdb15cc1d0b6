"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { verdictOf, type Seen, type Verdict } from "@/core/item/gates/answer";
import { questionOf, verdictText, type GateShown } from "@/core/item/gates/gate-text";
import type { Gate } from "@/core/item/gates/gates";
import { NumberField } from "../kit/NumberField";
import { COLOUR } from "../theme/tokens";

/** What was seen at a gate; `note`: why work went on all the same. */
export interface GateAnswer {
  readonly seen?: (Seen & { readonly which?: readonly string[] | undefined }) | undefined;
  readonly note?: string | undefined;
}

interface Props {
  readonly gates: readonly Gate[];
  readonly roomC: number;
  readonly shown: GateShown;
  readonly answerOf: (gate: Gate["kind"]) => GateAnswer;
  readonly onAnswer: (gate: Gate["kind"], answer: GateAnswer) => void;
  /** Goes on with baking powder where the yeast is dead. */
  readonly onPowder?: (gate: Gate["kind"]) => void;
  /** In type that is read at arm's length. */
  readonly isLarge?: boolean;
  /** What can be done where it takes so many minutes more. */
  readonly late: { readonly text: (minutes: number) => string; readonly press: (minutes: number) => void };
}

/** What is to be looked at before work goes on: a question each, what an answer means, and what that does to the day. */
export function BeforeYouGoOn({ gates, roomC, shown, answerOf, onAnswer, onPowder, late, isLarge }: Props) {
  if (gates.length === 0) return null;
  return (
    <Box sx={{ mt: 1.5 }} role="group" aria-label="Before you go on">
      <Typography variant="h3" gutterBottom>
        Before you go on
      </Typography>
      {gates.map((gate) => {
        const answer = answerOf(gate.kind);
        const verdict = answer.seen && verdictOf(gate, answer.seen, roomC);
        return (
          <Box key={gate.kind} sx={{ mb: 1, fontSize: isLarge ? "1.15rem" : "0.875rem" }}>
            <Box sx={{ mb: 0.5 }}>{questionOf(gate, shown)}</Box>
            <Asked gate={gate} answer={answer} onAnswer={(seen) => onAnswer(gate.kind, { seen })} />
            {verdict && (
              <Box role="status" sx={{ mt: 0.5, fontWeight: 600, color: verdict.open ? COLOUR.fits : COLOUR.ember }}>
                {answer.seen?.kind === "instead"
                  ? "With baking powder: nothing rises, go on."
                  : verdictText(gate, verdict, shown)}
              </Box>
            )}
            {verdict && !verdict.open && (
              <Held
                verdict={verdict}
                answer={answer}
                onNote={(note) => onAnswer(gate.kind, { ...answer, note })}
                onPowder={onPowder && (() => onPowder(gate.kind))}
                late={late}
              />
            )}
          </Box>
        );
      })}
    </Box>
  );
}

const YES_NO = ["yes", "no"] as const;

/** The way in which a gate is answered. */
function Asked({ gate, answer, onAnswer }: { gate: Gate; answer: GateAnswer; onAnswer: (seen: GateAnswer["seen"]) => void }) {
  const { seen } = answer;
  if (gate.kind === "runs" || gate.kind === "froth")
    return (
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label={gate.kind === "runs" ? "Liquid runs" : "Froth"}
        value={seen && (seen.kind === "yes" || seen.kind === "no") ? seen.kind : null}
        onChange={(_, kind: "yes" | "no" | null) => kind && onAnswer({ kind })}
      >
        {YES_NO.map((kind) => (
          <ToggleButton key={kind} value={kind} sx={{ textTransform: "none", minHeight: 44, minWidth: 64 }}>
            {kind}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    );
  if (gate.kind === "counted") {
    const all = gate.what.flatMap(({ name, count }) =>
      Array.from({ length: count ?? 1 }, (_, k) => ((count ?? 1) > 1 ? `${name} ${k + 1}` : name)),
    );
    const which = new Set(seen?.kind === "ticked" ? seen.which : []);
    const toggle = (name: string) => {
      if (!which.delete(name)) which.add(name);
      onAnswer({ kind: "ticked", count: which.size, which: [...which] });
    };
    return (
      <Box sx={{ display: "flex", flexWrap: "wrap" }}>
        {all.map((name) => (
          <FormControlLabel
            key={name}
            label={name}
            control={<Checkbox size="small" checked={which.has(name)} onChange={() => toggle(name)} />}
          />
        ))}
      </Box>
    );
  }
  const value = seen?.kind === "measured" ? seen.value : undefined;
  return (
    <Box sx={{ display: "flex", alignItems: "flex-start", gap: 1 }}>
      <NumberField
        label={gate.kind === "core" ? "Core, °C" : "Measured, °C"}
        value={value}
        onChange={(typed) =>
          onAnswer(typed !== undefined && Number.isFinite(typed) ? { kind: "measured", value: typed } : undefined)
        }
        error={value !== undefined && (value < -30 || value > 250) ? `Measured is ${value}; expected -30 to 250 °C` : undefined}
        width={130}
      />
    </Box>
  );
}

interface HeldProps {
  readonly verdict: Extract<Verdict, { open: false }>;
  readonly answer: GateAnswer;
  readonly onNote: (note: string) => void;
  readonly onPowder: (() => void) | undefined;
  readonly late: Props["late"];
}

/** What can be done about a gate that is shut: the day is moved, or the cook goes on and says why. */
function Held({ verdict, answer, onNote, onPowder, late }: HeldProps) {
  const [typed, setTyped] = useState("");
  // What is not hot enough, dead, or holds a bone is no matter of opinion.
  const isOpinion = verdict.code === "bind" || verdict.code === "cool";
  return (
    <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center", mt: 0.5 }}>
      {verdict.waitMin > 0 && (
        <Button size="small" variant="outlined" sx={{ minHeight: 44 }} onClick={() => late.press(verdict.waitMin)}>
          {late.text(verdict.waitMin)}
        </Button>
      )}
      {verdict.code === "no-froth" && onPowder && (
        <Button size="small" variant="outlined" sx={{ minHeight: 44 }} onClick={onPowder}>
          Baking powder instead: no rise
        </Button>
      )}
      {isOpinion && answer.note !== undefined && <Box>Went on all the same: {answer.note}</Box>}
      {isOpinion && answer.note === undefined && (
        <>
          <TextField
            size="small"
            label="Go on all the same, because"
            value={typed}
            onChange={(event) => setTyped(event.target.value.slice(0, 300))}
            sx={{ flex: "1 1 180px" }}
          />
          <Button size="small" disabled={typed.trim() === ""} onClick={() => onNote(typed.trim())}>
            Go on
          </Button>
        </>
      )}
    </Box>
  );
}
