"use client";
import Box from "@mui/material/Box";
import FormControlLabel from "@mui/material/FormControlLabel";
import IconButton from "@mui/material/IconButton";
import Switch from "@mui/material/Switch";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import { useState, type ReactNode } from "react";
import { isProvisional } from "@/core/item/gaps";
import { canKeepWarm, KEEP_WARM } from "@/core/item/keep-warm";
import { resolveItem } from "@/core/item/resolve";
import { usePlan } from "../plan/PlanProvider";
import { Monogram } from "../kit/Monogram";
import { NumberField } from "../kit/NumberField";
import { useDisplay } from "../kit/use-display";
import { COLOUR, toneOf } from "../theme/tokens";
import { itemOrder, type DemandRow } from "./gathering.view-model";
import { HowMany } from "./HowMany";
import { InParts } from "./InParts";
import type { LineEntry } from "./line-entry";
import { Ways } from "./Ways";

interface LineProps {
  readonly recipe: string;
  readonly entry: LineEntry;
  readonly row: DemandRow | undefined;
  /** The wave it is eaten in, with how many kinds; undefined for the freezer. */
  readonly wave?: { readonly id: string; readonly kinds: number };
  readonly note?: string | undefined;
  readonly error?: string | undefined;
  readonly shareError?: string | undefined;
  readonly onChange: (edit: Partial<LineEntry>) => void;
  readonly onAsk: (pieces: number | undefined) => void;
  readonly onRemove: () => void;
  /** Fields of its own. */
  readonly children?: ReactNode;
}

/** One item: how many, why so many, and what that weighs. */
export function DemandLine({
  recipe,
  entry,
  row,
  wave,
  note,
  error,
  shareError,
  onChange,
  onAsk,
  onRemove,
  children,
}: LineProps) {
  const { weight, degrees } = useDisplay();
  const { source } = usePlan();
  const [isOpen, setOpen] = useState(false);
  const order = itemOrder(source.items);
  const item = source.items.find((i) => i.id === recipe);
  if (!item) return null;
  const isDivided = (entry.split?.length ?? 0) > 0;
  return (
    <Box
      data-testid={`line-${recipe}`}
      sx={{
        display: "grid",
        gridTemplateColumns: {
          xs: "30px minmax(0, 1fr) auto",
          md: "30px minmax(140px, 1fr) 60px 112px minmax(200px, 1.3fr) 34px",
        },
        columnGap: 1.5,
        rowGap: 0.5,
        alignItems: "center",
        py: 1,
        borderTop: `1px solid ${COLOUR.line}`,
      }}
    >
      <Monogram name={item.name} tone={toneOf(order.get(recipe) ?? 0)} />
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ fontWeight: 600 }}>{item.name}</Box>
        <Box data-testid="claims" sx={{ fontSize: "0.75rem", color: COLOUR.soft }}>
          {isProvisional(item) && <strong>Provisional · </strong>}
          {row?.claims.join(" / ")}
        </Box>
        {!isDivided && <Ways item={item} choices={entry.choices ?? {}} onChoose={(choices) => onChange({ choices })} />}
      </Box>
      <Box sx={{ textAlign: "right", lineHeight: 1.1 }}>
        <Box
          component="span"
          data-testid="pieces"
          sx={{ fontFamily: '"Fraunces Variable", serif', fontSize: "1.5rem", fontWeight: 560 }}
        >
          {row?.pieces ?? "–"}
        </Box>
        <Typography variant="caption" sx={{ display: "block" }}>
          {row?.pieces === 1 ? "piece" : "pieces"}
        </Typography>
      </Box>
      <Box>
        <NumberField
          label={wave ? `Pieces of ${item.name} asked for` : `Pieces of ${item.name} to have in the freezer`}
          value={entry.pieces}
          onChange={onAsk}
          error={error}
          placeholder={wave ? "from guests" : "pieces"}
          width={112}
          quiet
        />
        {row && row.perCarrier > 1 && (
          <Box sx={{ display: "flex", justifyContent: "space-between", fontSize: "0.72rem" }}>
            <Fill
              label={`− ${row.perCarrier}`}
              means="a full tray or load fewer"
              onClick={() => onAsk(Math.max(row.perCarrier, (Math.ceil(row.pieces / row.perCarrier) - 1) * row.perCarrier))}
              item={item.name}
            />
            <Fill
              label={`+ ${row.perCarrier}`}
              means="a full tray or load more"
              onClick={() => onAsk((Math.floor(row.pieces / row.perCarrier) + 1) * row.perCarrier)}
              item={item.name}
            />
          </Box>
        )}
      </Box>
      <Box sx={{ fontSize: "0.82rem", color: COLOUR.soft, gridColumn: { xs: "2 / -1", md: "auto" } }}>
        {row && (
          <>
            <Box data-testid="weights" sx={{ color: COLOUR.ink }}>
              {row.doughG > 0 && `dough ${weight(row.doughG)}`}
              {row.fillingG > 0 && ` · filling ${weight(row.fillingG)}`}
            </Box>
            <Box>
              {[
                row.wanted !== null && row.wanted !== row.pieces ? `${row.wanted} wanted` : "",
                row.loads,
                row.feeds !== undefined && row.feeds > 0 ? `enough for ${row.feeds} ${row.feeds === 1 ? "guest" : "guests"}` : "",
              ]
                .filter(Boolean)
                .join(" · ")}
            </Box>
          </>
        )}
        {note && <Box sx={{ color: COLOUR.ink }}>{note}</Box>}
        <Fill
          label={isOpen ? "less" : "how many, and how"}
          means={isOpen ? "close" : "share, batches, parts"}
          isOpen={isOpen}
          onClick={() => setOpen(!isOpen)}
          item={item.name}
        />
      </Box>
      <IconButton aria-label={`Remove ${item.name}`} onClick={onRemove} size="small">
        <DeleteOutline fontSize="small" />
      </IconButton>
      {(isOpen || isDivided || children) && (
        <Box
          sx={{
            gridColumn: { xs: "1 / -1", md: "2 / -1" },
            display: "grid",
            gridTemplateColumns: "minmax(0, 1fr)",
            gap: 1,
            fontSize: "0.85rem",
            color: COLOUR.soft,
            "& > .fields": { display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" },
          }}
        >
          {children && <div className="fields">{children}</div>}
          {wave && (isOpen || entry.keepWarm) && canKeepWarm(resolveItem(item, entry.choices ?? {}, "base").steps) && (
            <FormControlLabel
              control={<Switch checked={entry.keepWarm === true} onChange={(_, on) => onChange({ keepWarm: on || undefined })} />}
              label={`keep ${item.name} warm after frying: up to ${KEEP_WARM.maxMin} min on a rack in the oven at ${degrees(KEEP_WARM.atC)}`}
              slotProps={{ typography: { sx: { fontSize: "inherit" } } }}
            />
          )}
          {wave && (isOpen || entry.firstPiece) && (
            <FormControlLabel
              control={
                <Switch checked={entry.firstPiece === true} onChange={(_, on) => onChange({ firstPiece: on || undefined })} />
              }
              label={`one piece of ${item.name} goes into the heat before its loads, where there are several: it tells how long they take`}
              slotProps={{ typography: { sx: { fontSize: "inherit" } } }}
            />
          )}
          {isOpen && wave && (
            <HowMany item={item} entry={entry} wave={wave} shareError={shareError} onChange={onChange} onAsk={onAsk} />
          )}
          {(isOpen || isDivided) && <InParts item={item} entry={entry} pieces={row?.pieces ?? 2} onChange={onChange} />}
        </Box>
      )}
    </Box>
  );
}

/** Asks for a whole tray, tier or load more or fewer, or for what else there is to say. */
function Fill({
  label,
  means,
  item,
  isOpen,
  onClick,
}: {
  label: string;
  means: string;
  item: string;
  isOpen?: boolean;
  onClick: () => void;
}) {
  return (
    <Box
      component="button"
      type="button"
      onClick={onClick}
      aria-label={`${item}: ${means}`}
      aria-expanded={isOpen}
      title={means}
      sx={{
        border: 0,
        background: "none",
        font: "inherit",
        color: COLOUR.tide,
        cursor: "pointer",
        p: 0,
        minHeight: 24,
        textDecoration: "underline dotted",
      }}
    >
      {label}
    </Box>
  );
}
