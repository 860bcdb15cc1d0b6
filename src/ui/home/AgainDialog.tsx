"use client";
import { zodResolver } from "@hookform/resolvers/zod";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useForm, useWatch } from "react-hook-form";
import type { z } from "zod";
import { AgainSchema } from "@/core/gathering/make";
import { Field } from "../kit/Field";

/** The same gathering on another day: its name and when. */
export function AgainDialog({
  name,
  onClose,
  onTake,
}: {
  name: string;
  onClose: () => void;
  onTake: (name: string, date: string) => void;
}) {
  const form = useForm<z.input<typeof AgainSchema>, unknown, z.output<typeof AgainSchema>>({
    resolver: zodResolver(AgainSchema),
    defaultValues: { name, date: "" },
  });
  const typed = useWatch({ control: form.control });
  const take = form.handleSubmit((value) => {
    onTake(value.name, value.date);
    onClose();
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="again">
      <form onSubmit={take} noValidate>
        <DialogTitle id="again">{name}, again</DialogTitle>
        <DialogContent sx={{ display: "grid", gap: 2, minWidth: { sm: 360 } }}>
          Who comes, what there is and how it is made are taken along. What was done ahead is not.
          <Field label="Name" of={form.register("name")} problem={form.formState.errors.name} value={typed.name} />
          <Field label="Day" type="date" of={form.register("date")} problem={form.formState.errors.date} value={typed.date} />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Leave it</Button>
          <Button type="submit" variant="contained">
            Make it
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
