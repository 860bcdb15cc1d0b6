"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { runYield, withRun } from "@/core/item/runs";
import type { Item } from "@/core/item/schema";
import { whatChanged } from "@/core/item/what-changed";
import type { Result } from "@/core/shared/issue";
import { counted } from "@/core/shared/words";
import { NumberField } from "../kit/NumberField";
import { useAttempt } from "../kit/use-attempt";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";
import { changedText } from "./what-changed-text";

/** An item as it was saved once. */
export interface ItemVersion {
  readonly revision: number;
  readonly savedAt: string;
  readonly item: Item;
}

interface Props {
  readonly item: Item;
  readonly onChange: (item: Item) => void;
  readonly versions: (id: string) => Promise<Result<readonly ItemVersion[]>>;
}

/** Differences told of one version; the others are counted. */
const TOLD = 4;
const MOST_PIECES = 10000;

/** How often an item was made and what came of it; what it was like before, and back to that. */
export function VersionsCard({ item, onChange, versions }: Props) {
  const [found, setFound] = useState<readonly ItemVersion[]>();
  const { attempt, told } = useAttempt();
  const look = () => attempt("Reading its versions", () => versions(item.id), setFound);
  return (
    <Paper component="section" aria-label="Runs and versions" sx={{ p: 2, display: "grid", gap: 1.25 }}>
      <Typography variant="h2">Runs and versions</Typography>
      <Runs item={item} onChange={onChange} />
      {!found && (
        <Box>
          <Button size="small" onClick={look}>
            What it was like before
          </Button>
        </Box>
      )}
      {told}
      {found && <Versions found={found} item={item} onTake={onChange} />}
    </Paper>
  );
}

/** How many came out of a batch, run by run. */
function Runs({ item, onChange }: Pick<Props, "item" | "onChange">) {
  const [pieces, setPieces] = useState<number | undefined>(undefined);
  const [note, setNote] = useState("");
  const { runs, pieces: middle, plusMinus } = runYield(item);
  const isRight = pieces !== undefined && Number.isInteger(pieces) && pieces >= 1 && pieces <= MOST_PIECES;
  const rounded = middle === undefined ? undefined : Math.round(middle);
  return (
    <>
      <Box role="status" sx={{ fontSize: "0.9rem" }}>
        {middle === undefined ? (
          <>0 runs: that a batch makes {counted(item.base.pieces, "piece")} is as the recipe says, and not tried yet.</>
        ) : (
          <>
            {counted(runs, "run")}:{" "}
            <strong>
              {Math.round(middle * 10) / 10} ± {Math.round((plusMinus ?? 0) * 10) / 10} pieces
            </strong>{" "}
            from a batch.
          </>
        )}
      </Box>
      {rounded !== undefined && rounded !== item.base.pieces && runs > 1 && (
        <Box>
          <Button size="small" variant="outlined" onClick={() => onChange({ ...item, base: { ...item.base, pieces: rounded } })}>
            Take {rounded} as what a batch makes, not {item.base.pieces}
          </Button>
        </Box>
      )}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "flex-start" }}>
        <NumberField
          label="Came out"
          value={pieces}
          onChange={setPieces}
          width={100}
          error={
            pieces !== undefined && !isRight
              ? `Came out is ${Number.isNaN(pieces) ? "not a number" : pieces}; expected 1 to ${MOST_PIECES} pieces`
              : undefined
          }
        />
        <TextField
          label="What to remember"
          value={note}
          onChange={(event) => setNote(event.target.value.slice(0, 300))}
          sx={{ flex: "1 1 140px" }}
        />
        <Button
          variant="outlined"
          disabled={!isRight}
          onClick={() => {
            const on = new Date().toISOString().slice(0, 10);
            onChange(withRun(item, { on, pieces: pieces!, ...(note.trim() !== "" && { note: note.trim() }) }));
            setPieces(undefined);
            setNote("");
          }}
        >
          Made it once
        </Button>
      </Box>
      {(item.runs ?? [])
        .filter((run) => run.note)
        .slice(-3)
        .map((run, k) => (
          <Box key={k} sx={{ fontSize: "0.85rem", color: COLOUR.soft }}>
            {run.on}, {counted(run.pieces, "piece")}: {run.note}
          </Box>
        ))}
    </>
  );
}

const whenText = (savedAt: string): string =>
  new Date(savedAt).toLocaleString(undefined, { dateStyle: "medium", timeStyle: "short" });

/** Versions, the newest first, each with what changed in it. */
function Versions({ found, item, onTake }: { found: readonly ItemVersion[]; item: Item; onTake: (item: Item) => void }) {
  const { fine: weight } = useDisplay();
  const told = found.flatMap((version, k) => {
    const before = found[k + 1]?.item;
    const changes = before ? whatChanged(before, version.item) : [];
    return before && changes.length === 0 ? [] : [{ ...version, changes: before && changes }];
  });
  return (
    <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gap: 1, fontSize: "0.85rem" }}>
      {told.map(({ revision, savedAt, item: was, changes }, k) => (
        <Box component="li" key={revision} sx={{ borderTop: `1px solid ${COLOUR.line}`, pt: 0.75 }}>
          <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
            <strong>{whenText(savedAt)}</strong>
            {k > 0 && (
              <Button size="small" sx={{ ml: "auto" }} onClick={() => onTake({ ...was, id: item.id, runs: item.runs })}>
                Back to this
              </Button>
            )}
          </Box>
          {changes ? (
            <>
              {changes
                .slice(0, TOLD)
                .map((change) => changedText(change, weight))
                .join("; ")}
              {changes.length > TOLD && `; and ${changes.length - TOLD} more`}
            </>
          ) : (
            "the first that is kept"
          )}
        </Box>
      ))}
    </Box>
  );
}
