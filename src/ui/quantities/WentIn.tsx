"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { issueText } from "@/core/shared/issue-text";
import type { Result } from "@/core/shared/issue";
import { NumberField } from "../kit/NumberField";
import { COLOUR } from "../theme/tokens";

export type NoteLiquid = (note: {
  item: string;
  component: string;
  usedG: number;
  plannedG: number;
}) => Promise<Result<{ id: string }>>;

interface Props {
  /** The component in each item whose dough this is. */
  readonly of: readonly { readonly item: string; readonly component: string }[];
  readonly name: string;
  readonly plannedG: number;
  readonly onNote: NoteLiquid;
}

/** How much of a liquid went in by feel, noted for the next time. */
export function WentIn({ of, name, plannedG, onNote }: Props) {
  const [used, setUsed] = useState<number | undefined>(undefined);
  const [said, setSaid] = useState<{ good: boolean; text: string } | undefined>(undefined);
  const note = async () => {
    if (used === undefined) return;
    const answers = await Promise.all(of.map((one) => onNote({ ...one, usedG: used, plannedG }))).catch(() => []);
    const done = answers.find((answer) => !answer.ok) ?? answers[0];
    setSaid(
      done === undefined
        ? { good: false, text: "Not noted: no answer. Try again." }
        : done.ok
          ? { good: true, text: `Noted: the next plan starts from ${Math.round(used)} for ${Math.round(plannedG)} g.` }
          : { good: false, text: issueText(done.issues[0], `${name} that went in`) },
    );
  };
  return (
    <Box
      className="no-print"
      sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap", py: 0.5, fontSize: "0.82rem" }}
    >
      <span>went in, in all</span>
      <NumberField
        label={`${name} that went in, g`}
        value={used}
        onChange={setUsed}
        width={76}
        quiet
        placeholder={`${Math.round(plannedG)}`}
      />
      <span>g</span>
      <Button size="small" disabled={used === undefined || Number.isNaN(used)} onClick={() => void note()}>
        Note it
      </Button>
      {said && (
        <Box role="status" sx={{ flexBasis: "100%", color: said.good ? COLOUR.fits : COLOUR.ember }}>
          {said.text}
        </Box>
      )}
    </Box>
  );
}

/** A dough that stuck got more flour: one press keeps it for the next time with the same flour. */
export function Sticky({ of, name, plannedG, addG, onNote }: Props & { readonly addG: number }) {
  const [said, setSaid] = useState<string | undefined>(undefined);
  const note = async () => {
    const usedG = plannedG + addG;
    const answers = await Promise.all(of.map((one) => onNote({ ...one, usedG, plannedG }))).catch(() => []);
    const done = answers.find((answer) => !answer.ok) ?? answers[0];
    if (done === undefined) setSaid("Not noted: no answer. Try again.");
    else setSaid(done.ok ? `Noted: ${Math.round(usedG)} g of ${name} the next time.` : issueText(done.issues[0], name));
  };
  return (
    <Box className="no-print" sx={{ display: "flex", gap: 1, alignItems: "center", fontSize: "0.82rem" }}>
      <Button size="small" onClick={() => void note()}>
        It stuck: {Math.round(addG)} g more went in
      </Button>
      {said && <Box role="status">{said}</Box>}
    </Box>
  );
}
