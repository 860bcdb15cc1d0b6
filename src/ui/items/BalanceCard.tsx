"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { piecesText } from "@/core/plan/task-text";
import { mixedDoughG } from "@/core/item/yields";
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
              They end together, at {piecesText(balance.pieces)}.
            </Typography>
          )}
        </>
      )}
      {balance && text && <Rest item={item} text={restText(item, totals)} onChange={onChange} />}
      <Losses item={item} totals={totals} onChange={onChange} />
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
      <span>{piecesText(pieces)}</span>
    </Box>
  );
}

const REST_TEXT: Readonly<Record<NonNullable<Item["rest"]>, string>> = {
  freeze: "into the freezer",
  topping: "as a topping or side",
  "another-time": "kept for another time",
};

/** What is over of a batch, g, as a phrase. */
function restText(item: Item, { balance }: DeskTotals): string {
  if (!balance) return "";
  return balance.limiting === "dough"
    ? `${Math.round(balance.fillingLeftG)} g of filling`
    : `${Math.round(balance.doughLeftG)} g of dough`;
}

/** A use with a name for what is left, so that it is not forgotten. */
function Rest({ item, text, onChange }: Pick<Props, "item" | "onChange"> & { text: string }) {
  return (
    <Box sx={{ display: "flex", gap: 0.5, flexWrap: "wrap", alignItems: "center", mt: 1, fontSize: "0.85rem" }}>
      <span>{item.rest ? `${text} go ${REST_TEXT[item.rest]}.` : `What becomes of the ${text}?`}</span>
      {(Object.keys(REST_TEXT) as NonNullable<Item["rest"]>[])
        .filter((use) => use !== item.rest)
        .map((use) => (
          <Button key={use} size="small" onClick={() => onChange({ ...item, rest: use })}>
            {REST_TEXT[use]}
          </Button>
        ))}
    </Box>
  );
}

/** What is lost on the way: of the dough, in the pan, on spoons; and what the cook found when it was weighed. */
function Losses({ item, totals, onChange }: Props) {
  const { filling } = item;
  const [weighed, setWeighed] = useState<number | undefined>(undefined);
  const set = (key: "cookingLossPct" | "handlingLossPct", value: number | undefined) =>
    value !== undefined && value >= 0 && value < 96 && onChange({ ...item, filling: { ...filling, [key]: value } });
  const cookedG = filling.components.filter((c) => c.cook).reduce((sum, c) => sum + c.grams, 0);
  const found = weighed !== undefined && weighed > 0 && cookedG > 0 ? 100 * (1 - weighed / cookedG) : undefined;
  return (
    <Box sx={{ mt: 2, pt: 1.5, borderTop: `1px solid ${COLOUR.line}` }}>
      <Typography variant="h3" gutterBottom>
        Lost on the way
      </Typography>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", pt: 0.5 }}>
        <NumberField
          label="Dough, %"
          value={item.dough.netLossPct}
          onChange={(v) => v !== undefined && v >= 0 && v <= 95 && onChange({ ...item, dough: { ...item.dough, netLossPct: v } })}
          width={90}
        />
        <NumberField
          label="In the pan, %"
          value={filling.cookingLossPct}
          onChange={(v) => set("cookingLossPct", v)}
          width={104}
        />
        <NumberField
          label="On spoons, %"
          value={filling.handlingLossPct}
          onChange={(v) => set("handlingLossPct", v)}
          width={104}
        />
      </Box>
      <Typography variant="body2" sx={{ mt: 0.75 }}>
        {piecesText(item.base.pieces)} of {item.piece.doughG} g need {Math.round(mixedDoughG(item, item.base.pieces))} g of dough
        {totals.doughG > 0 && `; there are ${Math.round(totals.doughG)} g`}.
      </Typography>
      {cookedG > 0 && (
        <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap", mt: 1 }}>
          <NumberField label="Weighed when cooked, g" value={weighed} onChange={setWeighed} width={176} />
          {found !== undefined && found > -900 && found < 96 && (
            <Button
              size="small"
              variant="outlined"
              onClick={() =>
                onChange({
                  ...item,
                  filling: {
                    ...filling,
                    cookingLossPct: Math.max(0, Math.round(found * 10) / 10),
                    components: filling.components.map(({ lossPct: _, ...c }) => c),
                  },
                })
              }
            >
              {Math.round(cookedG)} g raw: {Math.round(found)} % lost. Take it
            </Button>
          )}
        </Box>
      )}
    </Box>
  );
}

/** "I have so much of this": how many pieces that makes. */
function FromStock({ item, totals }: Pick<Props, "item" | "totals">) {
  const lines = [
    { id: "trays", name: "full trays", grams: item.base.pieces / item.capacity.perTray, key: "trays" },
    // A dish of so many ml takes so much filling.
    ...(item.piece.fillingG > 0
      ? [
          {
            id: "dish",
            name: "a dish, ml",
            grams: (item.base.pieces * item.piece.fillingG) / (item.filling.gPerMl ?? 1.05),
            key: "dish",
          },
        ]
      : []),
    ...item.dough.parts.flatMap((p) => p.components.map((c) => ({ ...c, key: `dough ${p.id} ${c.id}` }))),
    ...item.filling.components.map((c) => ({ ...c, key: `filling ${c.id}` })),
  ];
  const [key, setKey] = useState(lines.find((one) => one.key !== "trays" && one.key !== "dish")?.key ?? "trays");
  const [have, setHave] = useState<number | undefined>(undefined);
  const line = lines.find((c) => c.key === key) ?? lines[0];
  const trays = line?.key === "trays";
  const dish = line?.key === "dish";
  if (!line) return null;
  const answer = piecesFromStock({ basePieces: item.base.pieces, lines: [{ id: line.id, needG: line.grams, haveG: have }] });
  return (
    <Box sx={{ mt: 2, pt: 1.5, borderTop: `1px solid ${COLOUR.line}` }}>
      <Typography variant="h3" gutterBottom>
        How many from what there is?
      </Typography>
      <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
        <NumberField
          label={trays ? "Trays to fill" : dish ? "Dish to fill, ml" : "Grams at hand"}
          value={have}
          onChange={setHave}
          width={92}
          quiet
          placeholder={trays ? "trays" : dish ? "ml" : "grams"}
        />
        <Typography variant="body2">{trays ? "" : dish ? "ml," : "g of"}</Typography>
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
          {trays || dish
            ? `${piecesText(answer.pieces)}: ${Math.round((answer.pieces * totals.doughG) / item.base.pieces)} g of dough, ${Math.round((answer.pieces * totals.rawFillingG) / item.base.pieces)} g of filling`
            : `${piecesText(answer.pieces)}, ${Math.round(have - (answer.pieces * line.grams) / item.base.pieces)} g left`}
        </Typography>
      )}
    </Box>
  );
}
