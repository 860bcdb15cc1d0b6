import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Item } from "@/core/item/schema";
import { uncapitalised } from "@/core/shared/words";

interface Props {
  readonly faults: Item["faults"];
  /** Told which of them is seen; without it they are only read. */
  readonly onSeen?: (fault: string) => void;
}

/** What goes wrong at a step: by what is seen, why, and what helps. */
export function IfItGoesWrong({ faults, onSeen }: Props) {
  if (faults.length === 0) return null;
  return (
    <Box component="details" sx={{ mt: 1.25, fontSize: onSeen ? "1rem" : "0.85rem" }}>
      <Box component="summary" sx={{ cursor: "pointer", fontWeight: 600, minHeight: 28, py: onSeen ? 2 : 0 }}>
        If it goes wrong: {faults.map(({ sign }) => uncapitalised(sign)).join("; ")}
      </Box>
      {faults.map(({ id, sign, cause, remedy }) => (
        <Box key={id} sx={{ mt: 0.75 }}>
          <strong>{sign}</strong>: {cause}. {remedy}
          {onSeen && (
            <Button sx={{ minHeight: 44 }} aria-label={`${sign}: seen`} onClick={() => onSeen(id)}>
              That is it
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}
