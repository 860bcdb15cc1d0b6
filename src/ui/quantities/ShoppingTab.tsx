"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useMemo, useState } from "react";
import { doseNeeds } from "@/core/batching/dose-needs";
import { besideByVolume, besideNeeds } from "@/core/batching/beside-needs";
import { amountText } from "@/core/quantities/display";
import { PantrySchema, shoppingList, type ListLine, type PantryEntry } from "@/core/batching/shopping-list";
import { counted } from "@/core/shared/words";
import { issueText } from "@/core/shared/issue-text";
import { parseWith } from "@/core/shared/parse";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { NumberField } from "../kit/NumberField";
import { Unreadable, type UnreadableRow } from "../kit/Unreadable";
import { useOutbox } from "../session/OutboxProvider";
import { useAttempt } from "../kit/use-attempt";
import { useDisplay } from "../kit/use-display";
import { dayText } from "../plan/plan-summary";
import { usePlan } from "../plan/PlanProvider";
import { COLOUR } from "../theme/tokens";
import { batchStart } from "./quantities.view-model";
import { countText, packText, shoppingTable } from "./shopping.view-model";

interface Props {
  readonly pantry: readonly PantryEntry[];
  readonly unreadable: readonly UnreadableRow[];
  readonly onSaid: (entry: PantryEntry) => void;
}

/** To buy, of what, and what the cook has and how it is sold. */
const COLUMNS = { xs: "92px minmax(0, 1fr)", md: "120px minmax(0, 1fr) 284px" };
const FIELD_NAMES: Readonly<Record<string, string>> = { haveG: "What is at hand", packs: "A pack" };
/** Sizes of pack that are compared. */
const MOST_SIZES = 4;

/** One list for everything, what is at hand taken off, whole packs, and what they cost. */
export function ShoppingTab({ pantry, unreadable, onSaid }: Props) {
  const { latest, good, stale } = usePlan();
  const { weight, money, coins, display } = useDisplay();
  const { catalogue } = useCatalogue();
  const { attempt, told } = useAttempt();
  const outbox = useOutbox();
  const [refused, setRefused] = useState<{ ingredient: string; field: string; text: string } | undefined>(undefined);
  const plan = stale ? undefined : good?.plan;
  const list = useMemo(
    () =>
      latest &&
      shoppingList(
        latest.quantities.batches,
        latest.request.items,
        pantry,
        (batch) => batchStart(latest.quantities, plan, batch),
        [
          ...latest.quantities.vessels,
          ...besideNeeds(latest.quantities.beside),
          ...doseNeeds(latest.quantities.batches, latest.quantities.demands, catalogue),
        ],
        catalogue,
      ),
    [latest, plan, pantry, catalogue],
  );
  if (!latest || !list) return null;
  const byVolume = besideByVolume(latest.quantities.beside);
  const set = (ingredient: string, edit: Partial<PantryEntry>) => {
    const before = pantry.find((p) => p.ingredient === ingredient);
    const parsed = parseWith(PantrySchema, { haveG: 0, packs: [], ...before, ...edit, ingredient });
    const [field] = Object.keys(edit);
    setRefused(parsed.ok ? undefined : { ingredient, field, text: issueText(parsed.issues[0], FIELD_NAMES[field]) });
    if (!parsed.ok) return;
    const entry = parsed.value;
    onSaid(entry);
    attempt(
      `Saving what there is of ${ingredient}`,
      () => outbox.post(`pantry-${ingredient}`, "pantry", entry),
      () => undefined,
    );
  };
  const errorOf = (line: ListLine, field: string) =>
    refused?.ingredient === line.ingredient && refused.field === field ? refused.text : undefined;
  const day = (line: ListLine) => (plan && line.firstAt !== undefined ? dayText(plan, line.firstAt) : "");
  const download = () => {
    const text = shoppingTable(list, {
      day,
      price: (price) => (price / coins).toFixed(Math.round(Math.log10(coins))),
      separator: display.separator,
    });
    // A spreadsheet takes a table for UTF-8 only where it begins with the mark.
    const blob = new Blob(["\uFEFF", text], { type: "text/csv;charset=utf-8" });
    const link = document.createElement("a");
    link.href = URL.createObjectURL(blob);
    link.download = `shopping-${latest.request.gathering.id}.csv`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  const lines = list.groups.flatMap((group) => group.lines);
  const toBuy = lines.filter(({ buyG }) => buyG > 0).length;
  const atHand = lines.length - toBuy;
  return (
    <Paper component="section" aria-label="Shopping list" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", gap: 3, alignItems: "baseline", flexWrap: "wrap", mb: 1 }}>
        <Typography variant="h2">Shopping list</Typography>
        <Box sx={{ fontFamily: '"Fraunces Variable", serif', fontSize: "1.35rem" }}>
          {counted(toBuy, "thing")} to buy{atHand > 0 && `, ${atHand} at hand`}
          {list.cost > 0 && `, ${money(list.cost)}`}
        </Box>
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
      <Box>
        {byVolume.length > 0 && (
          <Box role="group" aria-label="By volume">
            <Typography variant="h3" sx={{ mt: 1.25, mb: 0.25 }}>
              By volume
            </Typography>
            {byVolume.map(({ name, ml, of }) => (
              <Box key={`${of} ${name}`} sx={{ py: 0.4, borderTop: `1px solid ${COLOUR.line}`, fontSize: "0.9rem" }}>
                {name}: <strong>{amountText(ml, "ml")}</strong>{" "}
                <Box component="span" sx={{ color: COLOUR.soft }}>
                  for {of}; what it weighs is not known
                </Box>
              </Box>
            ))}
          </Box>
        )}
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
                  columnGap: 2,
                  rowGap: 0.5,
                  alignItems: "start",
                  py: 0.75,
                  borderTop: `1px solid ${COLOUR.line}`,
                  fontSize: "0.9rem",
                }}
              >
                <Box sx={{ textAlign: "right" }}>
                  <Box
                    sx={{
                      fontFamily: '"Fraunces Variable", serif',
                      fontSize: "1.35rem",
                      lineHeight: 1.15,
                      color: line.buyG > 0 ? COLOUR.ink : COLOUR.soft,
                    }}
                  >
                    {line.buyG > 0 ? weight(line.buyG) : "enough"}
                  </Box>
                  {line.count && <Typography variant="caption">{countText(line.count)}</Typography>}
                </Box>
                <Box>
                  <Box sx={{ fontWeight: 640, fontSize: "1rem" }}>{line.name}</Box>
                  <Box sx={{ fontSize: "0.85rem" }}>{packText(line, weight, money)}</Box>
                  <Typography variant="caption">
                    {weight(line.needG)} needed{line.usedG !== undefined && ` (${weight(line.usedG)} trimmed)`} for{" "}
                    {line.items.join(", ")}
                    {line.extra === "fryer-fill" && " · the fill of the fryer, whatever is left is kept"}
                    {day(line) && ` · from ${day(line)}`}
                  </Typography>
                </Box>
                <Box className="no-print" sx={{ display: "flex", gap: 1.5, gridColumn: { xs: "2 / -1", md: "auto" } }}>
                  <NumberField
                    label={`${line.name} at hand, g`}
                    value={line.haveG || undefined}
                    onChange={(v) => set(line.ingredient, { haveG: v ?? 0 })}
                    error={errorOf(line, "haveG")}
                    placeholder="have, g"
                    width={92}
                    quiet
                  />
                  <Packs
                    line={line}
                    coins={coins}
                    error={errorOf(line, "packs")}
                    currency={display.currency}
                    onChange={(packs) => set(line.ingredient, { packs })}
                  />
                </Box>
              </Box>
            ))}
          </Box>
        ))}
      </Box>
    </Paper>
  );
}

/** The sizes in which something is sold, with their prices; an emptied size is taken off. */
function Packs({
  line,
  coins,
  currency,
  error,
  onChange,
}: {
  line: ListLine;
  coins: number;
  currency: string;
  error: string | undefined;
  onChange: (packs: PantryEntry["packs"]) => void;
}) {
  const [more, setMore] = useState(false);
  const { soldIn } = line;
  const rows = soldIn.length === 0 || more ? soldIn.length + 1 : soldIn.length;
  const set = (i: number, pack: { sizeG?: number; price?: number }) => {
    setMore(false);
    const { sizeG, price } = { ...soldIn[i], ...pack };
    const next = soldIn.slice();
    if (sizeG === undefined) next.splice(i, 1);
    else next[i] = price === undefined ? { sizeG } : { sizeG, price };
    onChange(next);
  };
  return (
    <Box>
      {Array.from({ length: rows }, (_, i) => (
        <Box key={i} sx={{ display: "flex", gap: 0.5, mb: 0.25 }}>
          <NumberField
            label={`${i > 0 ? `Size ${i + 1}` : "Pack"} of ${line.name}, g`}
            value={soldIn[i]?.sizeG}
            onChange={(sizeG) => set(i, { sizeG })}
            error={i === 0 ? error : undefined}
            placeholder="pack, g"
            width={84}
            quiet
          />
          {soldIn[i] && (
            <NumberField
              label={`Price of ${i > 0 ? `size ${i + 1}` : "a pack"} of ${line.name}`}
              value={soldIn[i].price === undefined ? undefined : soldIn[i].price / coins}
              onChange={(price) => set(i, { price: price === undefined ? undefined : Math.round(price * coins) })}
              placeholder={currency}
              width={84}
              quiet
            />
          )}
        </Box>
      ))}
      {soldIn.length > 0 && soldIn.length < MOST_SIZES && !more && (
        <Button size="small" className="no-print" onClick={() => setMore(true)}>
          another size
        </Button>
      )}
    </Box>
  );
}
