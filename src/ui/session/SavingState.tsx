"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { issueText } from "@/core/shared/issue-text";
import type { DocumentForm } from "./use-document";
import type { Saving } from "./document-session";

const TEXT: Readonly<Record<Saving, string>> = {
  saved: "Saved",
  saving: "Saving …",
  "not-saved": "Not saved, kept on this device",
  invalid: "Not saved yet: a field needs you",
  conflict: "Not saved: changed elsewhere too",
};

/** Whether what is typed is saved; if not, why, and a way to try again. `name`: what the document is called. */
export function SavingState<T extends object>({
  form: { saving, issue, retry },
  name,
}: {
  form: Pick<DocumentForm<T>, "saving" | "issue" | "retry">;
  name: string;
}) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap" }}>
      <span role="status">
        {TEXT[saving]}
        {saving === "not-saved" && issue && `. ${issueText(issue, issue.path.length === 0 ? `Saving ${name}` : undefined)}`}
      </span>
      {saving === "not-saved" && (
        <Button size="small" variant="outlined" onClick={retry} sx={{ color: "inherit", borderColor: "currentColor" }}>
          Try again
        </Button>
      )}
    </Box>
  );
}
