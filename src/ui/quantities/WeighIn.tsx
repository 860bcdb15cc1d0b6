"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Chip from "@mui/material/Chip";
import { useState, type ReactNode } from "react";
import { fillForPiece, weighIn } from "@/core/quantities/portions";
import { NumberField } from "../kit/NumberField";
import { useStored } from "../kit/use-stored";
import { COLOUR } from "../theme/tokens";

interface Props {
  readonly id: string;
  readonly pieces: number;
  readonly doughG: number;
  readonly ratio: number;
  /** What is done about pieces that are too heavy or too light: all that were weighed, and what is right, g. */
  readonly oddOnes?: (grams: readonly number[], rightG: number) => ReactNode;
  /** What a connected scale reads of a piece; undefined without one. */
  readonly read?: ((nth: number) => number | undefined) | undefined;
}

/** How far a piece may be off, %. */
const TOLERANCE_PCT = 5;
const tenth = (grams: number): string => (Math.round(grams * 10) / 10).toString();

/** Pieces as they come off the scale: what is accepted, what the rest must average, and the filling of an odd one. */
export function WeighIn({ id, pieces, doughG, ratio, oddOnes, read }: Props) {
  const [text, put] = useStored(`unisynth-weighed-${id}`);
  const [typed, setTyped] = useState<number | undefined>(undefined);
  const [round, setRound] = useState(0);
  const weighed = text === "" ? [] : text.split(" ").map(Number);
  const answer = weighIn(doughG, pieces, TOLERANCE_PCT, weighed);
  const odd = (grams: number) => grams < answer.leastG || grams > answer.mostG;
  const put1 = (grams = typed) => {
    if (grams === undefined || !(grams > 0) || weighed.length >= pieces) return;
    put([...weighed, grams].join(" "));
    setTyped(undefined);
    setRound(round + 1);
  };
  return (
    <Box
      component="details"
      className="no-print"
      sx={{ mt: 1, fontSize: "0.85rem", "& summary": { cursor: "pointer", color: COLOUR.tide, minHeight: 30 } }}
    >
      <summary>
        Weigh the pieces: {tenth(answer.leastG)} to {tenth(answer.mostG)} g is right
      </summary>
      <Box
        component="form"
        onSubmit={(e) => (e.preventDefault(), put1())}
        sx={{ display: "flex", gap: 1, alignItems: "center", my: 0.75 }}
      >
        <NumberField
          key={round}
          label={`Weight of piece ${weighed.length + 1}, g`}
          value={typed}
          onChange={setTyped}
          width={190}
        />
        <Button type="submit" variant="outlined" disabled={weighed.length >= pieces}>
          Add
        </Button>
        {read && (
          <Button variant="outlined" disabled={weighed.length >= pieces} onClick={() => put1(read(weighed.length))}>
            Read the scale
          </Button>
        )}
        {weighed.length > 0 && <Button onClick={() => put(weighed.slice(0, -1).join(" "))}>Last one off</Button>}
      </Box>
      <Box role="status">
        {weighed.length} of {pieces} weighed
        {answer.restG !== undefined && weighed.length > 0 && (
          <>
            ; the other {pieces - weighed.length} must be <strong>{tenth(answer.restG)} g</strong>
            {odd(answer.restG) && (
              <Box sx={{ color: COLOUR.caution }}>
                ! That is outside what is right: give the first ones back some dough, or plan a piece more or less.
              </Box>
            )}
          </>
        )}
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.5 }}>
        {weighed.map((grams, i) => (
          <Chip
            key={i}
            size="small"
            variant="outlined"
            label={odd(grams) ? `${tenth(grams)} g, fill ${tenth(fillForPiece(grams, ratio))} g` : `${tenth(grams)} g`}
            sx={{ borderRadius: "3px", ...(odd(grams) && { borderColor: COLOUR.caution, background: COLOUR.cautionMist }) }}
          />
        ))}
      </Box>
      {weighed.some(odd) && (
        <Box sx={{ color: COLOUR.soft }}>
          Odd ones get filling in their own proportion. Small ones go in together and come out first; a piece half as heavy again
          needs about 5 min more.
        </Box>
      )}
      {weighed.some(odd) && oddOnes?.(weighed, doughG / pieces)}
    </Box>
  );
}
