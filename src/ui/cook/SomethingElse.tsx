"use client";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Say } from "./say";

const PRESS = { minHeight: 56, justifyContent: "flex-start", fontSize: "1.05rem" } as const;

/** What may happen to a step beside being done: its pieces are gone, go into the freezer, it is left out, or there is something to remember. */
export function SomethingElse({ task, title, say }: { task: string; title: string; say: Say }) {
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState("");
  const reason = text.trim() === "" ? {} : { reason: text.trim() };
  const tell = (telling: Parameters<Say>[0]) => {
    say(telling);
    setText("");
    setOpen(false);
  };
  return (
    <>
      <Button variant="text" sx={{ minHeight: 56 }} aria-label={`${title}: something else`} onClick={() => setOpen(true)}>
        Something else
      </Button>
      <Dialog open={isOpen} onClose={() => setOpen(false)} fullWidth maxWidth="sm" aria-label={`Something else: ${title}`}>
        <DialogTitle>{title}</DialogTitle>
        <DialogContent sx={{ display: "grid", gap: 1.5 }}>
          <TextField
            label="In a few words"
            value={text}
            onChange={(event) => setText(event.target.value)}
            sx={{ mt: 1 }}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
          <Button variant="outlined" sx={PRESS} onClick={() => tell({ kind: "lost", task, ...reason })}>
            These pieces are lost: burnt, dropped or eaten
          </Button>
          <Button variant="outlined" sx={PRESS} onClick={() => tell({ kind: "frozen", task })}>
            These pieces go raw into the freezer
          </Button>
          <Button variant="outlined" sx={PRESS} onClick={() => tell({ kind: "skipped", task, ...reason })}>
            Leave this step out
          </Button>
          <Button
            variant="outlined"
            sx={PRESS}
            disabled={text.trim() === ""}
            onClick={() => tell({ kind: "note", task, text: text.trim() })}
          >
            Keep it as a note
          </Button>
        </DialogContent>
        <DialogActions>
          <Button sx={{ minHeight: 44 }} onClick={() => setOpen(false)}>
            Back
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
