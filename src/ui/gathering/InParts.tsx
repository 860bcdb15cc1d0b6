"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import type { Item } from "@/core/item/schema";
import { NumberField } from "../kit/NumberField";
import { COLOUR } from "../theme/tokens";
import type { LineEntry } from "./line-entry";
import { Ways } from "./Ways";

interface Props {
  readonly item: Item;
  readonly entry: LineEntry;
  /** How many there are to divide. */
  readonly pieces: number;
  readonly onChange: (edit: Partial<LineEntry>) => void;
}

/** Part of an item one way and part of it another: by filling, or by how it is made. */
export function InParts({ item, entry, pieces, onChange }: Props) {
  const parts = entry.split ?? [];
  const variants = item.filling.variants ?? [];
  if (variants.length === 0 && item.schools.length === 0) return null;
  // A number that was asked for is what the parts come to.
  const set = (split: NonNullable<LineEntry["split"]>) =>
    onChange({
      split: split.length > 1 ? split : undefined,
      ...(split.length === 1 && { choices: { ...entry.choices, ...split[0].choices } }),
      ...(entry.pieces !== undefined && split.length > 1 && { pieces: split.reduce((sum, part) => sum + part.pieces, 0) }),
    });
  const divide = () => {
    const half = Math.max(1, Math.floor(pieces / 2));
    set([
      { filling: "base", pieces: Math.max(1, pieces - half) },
      { filling: variants[0]?.id ?? "base", pieces: half },
    ]);
  };
  if (parts.length === 0)
    return (
      <div>
        <Button size="small" onClick={divide} disabled={pieces < 2}>
          Make part of it otherwise
        </Button>
      </div>
    );
  return (
    <Box role="group" aria-label={`Parts of ${item.name}`} sx={{ display: "grid", gap: 0.75 }}>
      {parts.map((part, i) => {
        const setPart = (edit: Partial<typeof part>) => set(parts.map((one, k) => (k === i ? { ...one, ...edit } : one)));
        const name = `Part ${i + 1} of ${item.name}`;
        return (
          <Box
            key={i}
            sx={{
              display: "flex",
              flexWrap: "wrap",
              gap: 1,
              alignItems: "center",
              borderLeft: `3px solid ${COLOUR.line}`,
              pl: 1,
            }}
          >
            <NumberField
              label={`${name}, pieces`}
              value={part.pieces}
              onChange={(count) => setPart({ pieces: count ?? NaN })}
              width={70}
              quiet
            />
            {variants.length > 0 && (
              <TextField
                select
                value={part.filling}
                onChange={(event) => setPart({ filling: event.target.value })}
                slotProps={{ htmlInput: { "aria-label": `${name}, filling` } }}
                sx={{ minWidth: 150 }}
              >
                <MenuItem value="base">{item.filling.name ?? "the usual filling"}</MenuItem>
                {variants.map((variant) => (
                  <MenuItem key={variant.id} value={variant.id}>
                    {variant.name}
                  </MenuItem>
                ))}
              </TextField>
            )}
            <Ways
              item={item}
              name={name}
              choices={{ ...entry.choices, ...part.choices }}
              onChoose={(choices) => setPart({ choices })}
            />
            <IconButton
              size="small"
              aria-label={`Remove part ${i + 1} of ${item.name}`}
              onClick={() => set(parts.filter((_, k) => k !== i))}
            >
              <DeleteOutline fontSize="small" />
            </IconButton>
          </Box>
        );
      })}
      <div>
        <Button size="small" onClick={() => set([...parts, { filling: "base", pieces: 1 }])}>
          Another part
        </Button>
      </div>
    </Box>
  );
}
