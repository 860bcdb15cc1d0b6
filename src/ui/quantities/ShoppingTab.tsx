"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import Papa from "papaparse";
import { useMemo, useState } from "react";
import { PantrySchema, shoppingList, type ListLine, type PantryEntry } from "@/core/batching/shopping-list";
import { issueText } from "@/core/shared/issue-text";
import { parseWith } from "@/core/shared/parse";
import { NumberField } from "../kit/NumberField";
import type { Result } from "@/core/shared/issue";
import { Unreadable, type UnreadableRow } from "../kit/Unreadable";
import { useAttempt } from "../kit/use-attempt";
import { useDisplay } from "../kit/use-display";
import { dayText } from "../plan/plan-summary";
import { usePlan } from "../plan/PlanProvider";
import { COLOUR } from "../theme/tokens";
import { batchStart } from "./quantities.view-model";

interface Props {
  readonly stored: readonly PantryEntry[];
  readonly unreadable: readonly UnreadableRow[];
  readonly save: (entry: PantryEntry) => Promise<Result<unknown>>;
}

const COLUMNS = "minmax(150px, 1.4fr) 84px 96px 84px 96px 96px minmax(120px, 1fr)";
const FIELD_NAMES: Readonly<Record<string, string>> = { haveG: "What is at hand", packG: "A pack", packPrice: "The price" };
const money = (coins: number): string => (coins / 100).toFixed(2);

/** One list for everything, what is at hand taken off, whole packs, and what they cost. */
export function ShoppingTab({ stored, unreadable, save }: Props) {
  const { latest, good, stale } = usePlan();
  const { weight } = useDisplay();
  const [pantry, setPantry] = useState(stored);
  const { attempt, told } = useAttempt();
  const [refused, setRefused] = useState<{ ingredient: string; field: string; text: string } | undefined>(undefined);
  const plan = stale ? undefined : good?.plan;
  const list = useMemo(
    () =>
      latest &&
      shoppingList(latest.quantities.batches, latest.request.items, pantry, (batch) =>
        batchStart(latest.quantities, plan, batch),
      ),
    [latest, plan, pantry],
  );
  if (!latest || !list) return null;
  const set = (ingredient: string, edit: Partial<PantryEntry>) => {
    const parsed = parseWith(PantrySchema, { haveG: 0, ...pantry.find((p) => p.ingredient === ingredient), ...edit, ingredient });
    const [field] = Object.keys(edit);
    setRefused(parsed.ok ? undefined : { ingredient, field, text: issueText(parsed.issues[0], FIELD_NAMES[field]) });
    if (!parsed.ok) return;
    const entry = parsed.value;
    setPantry([...pantry.filter((p) => p.ingredient !== ingredient), entry]);
    attempt(
      `Saving what there is of ${ingredient}`,
      () => save(entry),
      () => undefined,
    );
  };
  const errorOf = (line: ListLine, field: string) =>
    refused?.ingredient === line.ingredient && refused.field === field ? refused.text : undefined;
  const day = (line: ListLine) => (plan && line.firstAt !== undefined ? dayText(plan, line.firstAt) : "");
  const download = () => {
    const rows = list.groups.flatMap((group) =>
      group.lines.map((line) => ({
        group: group.name,
        ingredient: line.name,
        need_g: Math.round(line.needG),
        have_g: line.haveG,
        buy_g: Math.round(line.buyG),
        packs: line.packs?.counts[0] ?? "",
        pack_g: line.packG ?? "",
        left_g: line.packs ? Math.round(line.packs.leftG) : "",
        cost: line.packs && line.packPrice !== undefined ? money(line.packs.cost) : "",
        needed_on: day(line),
        for: line.items.join("; "),
      })),
    );
    const blob = new Blob([Papa.unparse(rows, { escapeFormulae: true, newline: "\r\n" })], { type: "text/csv;charset=utf-8" });
    const link = document.createElement("a");
    link.href = URL.createObjectURL(blob);
    link.download = `shopping-${latest.request.gathering.id}.csv`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <Paper component="section" aria-label="Shopping list" sx={{ p: 2, overflowX: "auto" }}>
      <Box sx={{ display: "flex", gap: 3, alignItems: "baseline", flexWrap: "wrap", mb: 1 }}>
        <Typography variant="h2">Shopping list</Typography>
        <Typography data-testid="shopping-cost" color="text.secondary">
          {list.cost > 0
            ? `${money(list.cost)} for the packs that have a price`
            : "give a pack and its price, and the cost appears"}
          {list.perPiece !== undefined ? ` · ${money(list.perPiece)} a piece` : ""}
        </Typography>
        <Button className="no-print" sx={{ ml: "auto" }} onClick={download}>
          As a table (CSV)
        </Button>
      </Box>
      {told}
      <Unreadable rows={unreadable} kind="pantry entry" />
      <Box sx={{ minWidth: 820 }}>
        <Box sx={{ display: "grid", gridTemplateColumns: COLUMNS, gap: 1, fontSize: "0.75rem", color: COLOUR.soft, pb: 0.5 }}>
          <span>ingredient</span>
          <Right>needed</Right>
          <Right>at hand, g</Right>
          <Right>to buy</Right>
          <Right>pack, g</Right>
          <Right>its price, cents</Right>
          <span>packs and what is left</span>
        </Box>
        {list.groups.map((group) => (
          <Box key={group.name} role="group" aria-label={group.name}>
            <Typography variant="h3" sx={{ mt: 1.25, mb: 0.25 }}>
              {group.name}
            </Typography>
            {group.lines.map((line) => (
              <Box
                key={line.ingredient}
                data-testid={`buy-${line.ingredient}`}
                sx={{
                  display: "grid",
                  gridTemplateColumns: COLUMNS,
                  gap: 1,
                  alignItems: "center",
                  py: 0.4,
                  borderTop: `1px solid ${COLOUR.line}`,
                  fontSize: "0.9rem",
                }}
              >
                <Box>
                  <Box sx={{ fontWeight: 600 }}>{line.name}</Box>
                  <Typography variant="caption">
                    {line.items.join(", ")}
                    {day(line) && ` · from ${day(line)}`}
                  </Typography>
                </Box>
                <Right>{weight(line.needG)}</Right>
                <NumberField
                  label={`${line.name} at hand, g`}
                  value={line.haveG || undefined}
                  onChange={(v) => set(line.ingredient, { haveG: v ?? 0 })}
                  error={errorOf(line, "haveG")}
                  width={96}
                  quiet
                />
                <Right>
                  <strong>{line.buyG > 0 ? weight(line.buyG) : "enough"}</strong>
                </Right>
                <NumberField
                  label={`Pack of ${line.name}, g`}
                  value={line.packG}
                  onChange={(v) => set(line.ingredient, { packG: v })}
                  error={errorOf(line, "packG")}
                  width={96}
                  quiet
                />
                <NumberField
                  label={`Price of a pack of ${line.name}`}
                  value={line.packPrice}
                  onChange={(v) => set(line.ingredient, { packPrice: v })}
                  error={errorOf(line, "packPrice")}
                  width={96}
                  quiet
                />
                <Box sx={{ fontSize: "0.85rem" }}>{packText(line, weight)}</Box>
              </Box>
            ))}
          </Box>
        ))}
      </Box>
    </Paper>
  );
}

function packText(line: ListLine, weight: (grams: number) => string): string {
  if (!line.packs || line.buyG === 0) return "";
  const n = line.packs.counts[0];
  const left = line.packs.leftG >= 1 ? `, ${weight(line.packs.leftG)} left` : "";
  return `${n} ${n === 1 ? "pack" : "packs"}${left}${line.packPrice !== undefined ? `, ${money(line.packs.cost)}` : ""}`;
}

const Right = ({ children }: { children: React.ReactNode }) => <Box sx={{ textAlign: "right" }}>{children}</Box>;
