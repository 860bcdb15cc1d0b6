"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { scaleDough, scaleFilling, type DeskTotals } from "@/core/item/desk";
import type { Item } from "@/core/item/schema";
import { piecesFromStock } from "@/core/quantities/count";
import { down } from "@/core/shared/rounding";
import { Banner } from "../kit/Banner";
import { NumberField } from "../kit/NumberField";
import { COLOUR } from "../theme/tokens";
import { balanceText } from "./items.view-model";

interface Props {
  readonly item: Item;
  readonly totals: DeskTotals;
  readonly onChange: (item: Item) => void;
}

/** Which runs out first, dough or filling, and the ways to mend it; and how many pieces what there is would make. */
export function BalanceCard({ item, totals, onChange }: Props) {
  const { balance } = totals;
  // How many pieces each would make, not rounded; their ratio is what the filling lacks or has too much.
  const byDough = totals.usableDoughG / item.piece.doughG;
  const byFilling = totals.usableFillingG / item.piece.fillingG;
  const most = Math.max(byDough, byFilling);
  const text = balanceText(item);
  const pieces = (key: "doughG" | "fillingG", value: number | undefined) =>
    value !== undefined && value >= 0 && value <= 2000 && onChange({ ...item, piece: { ...item.piece, [key]: value } });
  return (
    <Paper component="section" aria-label="Balance of dough and filling" sx={{ p: 2 }}>
      <Typography variant="h2" gutterBottom>
        Dough and filling
      </Typography>
      <Box sx={{ display: "flex", gap: 1.5, mt: 1.75, mb: 1 }}>
        <NumberField label="Dough a piece, g" value={item.piece.doughG} onChange={(v) => pieces("doughG", v)} width={130} />
        <NumberField label="Filling a piece, g" value={item.piece.fillingG} onChange={(v) => pieces("fillingG", v)} width={130} />
      </Box>
      {item.filling.components.length === 0 && (
        <Typography color="text.secondary">No filling yet: paste its ingredients beside.</Typography>
      )}
      {balance && (
        <>
          <Bar label="dough" pieces={down(byDough)} most={most} colour="#c79a4b" />
          <Bar label="filling" pieces={down(byFilling)} most={most} colour="#a8552f" />
          {text ? (
            <Box sx={{ mt: 1 }}>
              <Banner kind="note">{text}</Banner>
              <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, mt: 1 }}>
                <Button size="small" variant="outlined" onClick={() => onChange(scaleFilling(item, byDough / byFilling))}>
                  {byFilling < byDough ? "Make more filling" : "Make less filling"} ×{(byDough / byFilling).toFixed(2)}
                </Button>
                <Button size="small" variant="outlined" onClick={() => onChange(scaleDough(item, byFilling / byDough))}>
                  {byDough < byFilling ? "Make more dough" : "Make less dough"} ×
                  {(byFilling / byDough).toFixed(3).replace(/0$/, "")}
                </Button>
                {balance.stretchOk && balance.fillingToUseAllG !== null && (
                  <Button
                    size="small"
                    variant="outlined"
                    onClick={() =>
                      onChange({ ...item, piece: { ...item.piece, fillingG: Math.round(balance.fillingToUseAllG! * 10) / 10 } })
                    }
                  >
                    Fill each with {balance.fillingToUseAllG.toFixed(1)} g
                  </Button>
                )}
              </Box>
            </Box>
          ) : (
            <Typography sx={{ color: COLOUR.fits, fontWeight: 600, mt: 1 }}>
              They end together, at {balance.pieces} pieces.
            </Typography>
          )}
        </>
      )}
      <FromStock item={item} totals={totals} />
    </Paper>
  );
}

function Bar({ label, pieces, most, colour }: { label: string; pieces: number; most: number; colour: string }) {
  return (
    <Box
      sx={{ display: "grid", gridTemplateColumns: "52px 1fr 76px", alignItems: "center", gap: 1, fontSize: "0.85rem", py: 0.25 }}
    >
      <span>{label}</span>
      <Box sx={{ height: 12, background: COLOUR.page, borderRadius: "2px" }}>
        <Box
          sx={{ height: "100%", width: `${Math.min(100, (100 * pieces) / most)}%`, background: colour, borderRadius: "2px" }}
        />
      </Box>
      <span>{pieces} pieces</span>
    </Box>
  );
}

/** "I have so much of this": how many pieces that makes. */
function FromStock({ item, totals }: Pick<Props, "item" | "totals">) {
  const lines = [
    { id: "trays", name: "full trays", grams: item.base.pieces / item.capacity.perTray, key: "trays" },
    ...item.dough.parts.flatMap((p) => p.components.map((c) => ({ ...c, key: `dough ${p.id} ${c.id}` }))),
    ...item.filling.components.map((c) => ({ ...c, key: `filling ${c.id}` })),
  ];
  const [key, setKey] = useState(lines[1]?.key ?? "trays");
  const [have, setHave] = useState<number | undefined>(undefined);
  const line = lines.find((c) => c.key === key) ?? lines[0];
  const trays = line?.key === "trays";
  if (!line) return null;
  const answer = piecesFromStock({ basePieces: item.base.pieces, lines: [{ id: line.id, needG: line.grams, haveG: have }] });
  return (
    <Box sx={{ mt: 2, pt: 1.5, borderTop: `1px solid ${COLOUR.line}` }}>
      <Typography variant="h3" gutterBottom>
        How many from what there is?
      </Typography>
      <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
        <NumberField
          label={trays ? "Trays to fill" : "Grams at hand"}
          value={have}
          onChange={setHave}
          width={92}
          quiet
          placeholder={trays ? "trays" : "grams"}
        />
        <Typography variant="body2">{trays ? "" : "g of"}</Typography>
        <TextField
          select
          value={line.key}
          onChange={(e) => setKey(e.target.value)}
          slotProps={{ htmlInput: { "aria-label": "Ingredient at hand" } }}
          sx={{ flex: "1 1 130px", minWidth: 0 }}
        >
          {lines.map((c) => (
            <MenuItem key={c.key} value={c.key}>
              {c.name}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      {answer.pieces !== null && have !== undefined && have >= 0 && (
        <Typography data-testid="from-stock" sx={{ mt: 1, fontWeight: 600 }}>
          {trays
            ? `${answer.pieces} pieces: ${Math.round((answer.pieces * totals.doughG) / item.base.pieces)} g of dough, ${Math.round((answer.pieces * totals.rawFillingG) / item.base.pieces)} g of filling`
            : `${answer.pieces} pieces, ${Math.round(have - (answer.pieces * line.grams) / item.base.pieces)} g left`}
        </Typography>
      )}
    </Box>
  );
}
