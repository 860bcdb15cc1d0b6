"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import FormControlLabel from "@mui/material/FormControlLabel";
import Radio from "@mui/material/Radio";
import RadioGroup from "@mui/material/RadioGroup";
import { useState } from "react";
import type { Difference } from "@/core/shared/differences";
import { COLOUR } from "../theme/tokens";
import { fieldText, valueText } from "./difference-text";
import type { Conflict } from "./document-session";

interface Props<T> {
  readonly conflict: Conflict<T>;
  readonly onResolve: (chosen: readonly Difference[]) => void;
}

const fieldOf = ({ path }: Difference): string => path.join(".");

/** Two versions of one document, field by field: what is here, what is stored, and which of the two stays. */
export function ConflictDialog<T>({ conflict, onResolve }: Props<T>) {
  const { differences, mine, theirs } = conflict;
  // By their fields: the same conflict may be worked out anew while it is looked at, and what was chosen stays.
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(mine.map(fieldOf)));
  const choose = (difference: Difference, here: boolean) => {
    const next = new Set(chosen);
    if (here) next.add(fieldOf(difference));
    else next.delete(fieldOf(difference));
    setChosen(next);
  };
  return (
    <Dialog open maxWidth="sm" fullWidth aria-labelledby="conflict-title">
      <DialogTitle id="conflict-title">It was changed elsewhere too</DialogTitle>
      <DialogContent>
        Since you opened it here, it was saved from another page. Choose for each field which of the two stays; what you do not
        take can still be had back with Undo.
        {differences.map((difference) => (
          <Box key={fieldOf(difference)} component="section" sx={{ mt: 1.5, borderTop: `1px solid ${COLOUR.line}`, pt: 1 }}>
            <RadioGroup
              aria-label={fieldText(difference.path, theirs.document)}
              value={chosen.has(fieldOf(difference)) ? "here" : "there"}
              onChange={(_, value) => choose(difference, value === "here")}
            >
              <Box sx={{ fontWeight: 650 }}>{fieldText(difference.path, theirs.document)}</Box>
              <FormControlLabel value="here" control={<Radio size="small" />} label={`Here: ${valueText(difference.mine)}`} />
              <FormControlLabel
                value="there"
                control={<Radio size="small" />}
                label={`Elsewhere: ${valueText(difference.theirs)}`}
              />
            </RadioGroup>
          </Box>
        ))}
      </DialogContent>
      <DialogActions>
        <Button onClick={() => setChosen(new Set())}>All from elsewhere</Button>
        <Button onClick={() => setChosen(new Set(differences.map(fieldOf)))}>All from here</Button>
        <Button
          variant="contained"
          onClick={() => onResolve(differences.filter((difference) => chosen.has(fieldOf(difference))))}
        >
          Keep these
        </Button>
      </DialogActions>
    </Dialog>
  );
}
