"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useRouter } from "next/navigation";
import { useCallback, useMemo, useState } from "react";
import { componentsAt, deskTotals, withComponents, type Place } from "@/core/item/desk";
import { isProvisional } from "@/core/item/gaps";
import { hottest } from "@/core/item/hottest";
import { asMade, remake } from "@/core/item/making/remake";
import type { StepEdit } from "@/core/item/making/step-edits";
import { settled } from "@/core/item/making/settle";
import { fromLines, measuredIn } from "@/core/item/recipe";
import type { Reading } from "@/core/ingredients/read-line";
import { itemIssues } from "@/core/item/check";
import { ItemSchema, type Choices, type Item, type ItemMaking } from "@/core/item/schema";
import { optionsOf } from "@/core/item/resolve";
import { stepName } from "@/core/plan/task-text";
import type { Result } from "@/core/shared/issue";
import { Banner } from "../kit/Banner";
import { Monogram } from "../kit/Monogram";
import { useAttempt } from "../kit/use-attempt";
import { TopBar } from "../kit/TopBar";
import { ConflictDialog } from "../session/ConflictDialog";
import { SavingState } from "../session/SavingState";
import { useDocument } from "../session/use-document";
import type { Revised } from "../session/document-session";
import { CupsSelect } from "../kit/CupsSelect";
import { useDisplay } from "../kit/use-display";
import { Main } from "../kit/Main";
import { DayEffect, type DayMeans, type NextGathering } from "../plan/DayEffect";
import { COLOUR, toneOf } from "../theme/tokens";
import { AddLines } from "./AddLines";
import { AsWritten } from "./AsWritten";
import { BalanceCard } from "./BalanceCard";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { ByRuleCard } from "./ByRuleCard";
import { ChecksCard } from "./ChecksCard";
import { ClaimsCard } from "./ClaimsCard";
import { FillingTables } from "./FillingTables";
import { FinishCard } from "./FinishCard";
import { GapsCard } from "./GapsCard";
import { ExportItem } from "./ExportItem";
import { claimsLines } from "@/core/item/item-claims-text";
import { FormulaTable } from "./FormulaTable";
import { HowItIsMade } from "./HowItIsMade";
import { PieceCard } from "./PieceCard";
import { ShapeCard } from "./ShapeCard";
import { StepsCard } from "./StepsCard";
import { SumsCard } from "./SumsCard";
import { useFollowedLines } from "./use-followed-lines";
import { VersionsCard, type ItemVersion } from "./VersionsCard";
import { WaysCard } from "./WaysCard";

/** The next day on which the item is made, with what that is planned with besides it. */
export interface ItemDay extends DayMeans {
  readonly next: NextGathering;
}

interface Props {
  readonly stored: Revised<Item>;
  /** Place in the list of items, for its tone. */
  readonly place: number;
  readonly away: boolean;
  /** Undefined where no gathering that is to come names it. */
  readonly day: ItemDay | undefined;
  readonly save: (item: Item, from: number) => Promise<Result<{ readonly revision: number }>>;
  readonly duplicate: (id: string, emptied: boolean) => Promise<Result<{ id: string }>>;
  readonly archive: (id: string, away: boolean) => Promise<Result<{ id: string }>>;
  readonly versions: (id: string) => Promise<Result<readonly ItemVersion[]>>;
}

const isRight = (item: Item): boolean => ItemSchema.safeParse(item).success && itemIssues({ items: [item] }).length === 0;

/** The formula desk: one item with its dough, filling, piece, balance and steps; every figure follows every other. */
export function ItemDesk({ stored, place, away: storedAway, day, save, duplicate, archive, versions }: Props) {
  const router = useRouter();
  const form = useDocument<Item>({ key: `item-${stored.document.id}`, kind: "item", initial: stored, isRight, save });
  const { draft: item, conflict, change: edit } = form;
  const [refused, setRefused] = useState<{ key: string; text: string } | undefined>(undefined);
  const [choices, setChoices] = useState<Choices>({});
  const [away, setAway] = useState(storedAway);
  const { display } = useDisplay();
  const system = item.measures ?? display.system;
  const { catalogue } = useCatalogue();
  const [unused, setUnused] = useState<readonly string[]>([]);
  const follow = useFollowedLines(item, catalogue);
  const change = useCallback(
    (next: Item) => {
      const followed = follow(next);
      if (followed.isFollowed) setUnused(followed.unused.map(editText));
      edit((before) => settled(before, followed.item));
    },
    [edit, follow],
  );
  const totals = deskTotals(item, catalogue);
  const made = useMemo(() => asMade(item, item.making, catalogue), [item, catalogue]);
  const cores = useMemo(() => (made ? hottest(made.item) : []), [made]);
  const meansWith = useCallback(
    (one: Item): DayMeans => ({
      items: day?.items.map((other) => (other.id === one.id ? one : other)) ?? [],
      kitchen: day!.kitchen,
    }),
    [day],
  );
  const makeOtherwise = (otherwise: Partial<ItemMaking>) => {
    const remade = remake(item, otherwise, catalogue);
    if (!remade) return;
    setUnused(remade.unused.map(editText));
    change(remade.item);
  };
  const undo = () => {
    form.undo();
    setUnused([]);
    setRefused(undefined);
  };
  const { attempt, told } = useAttempt();
  const copy = (emptied: boolean) =>
    attempt(
      "Copying it",
      () => duplicate(item.id, emptied),
      ({ id }) => router.push(`/items/${id}`),
    );
  const putAway = () =>
    attempt(
      away ? "Bringing it back" : "Putting it away",
      () => archive(item.id, !away),
      () => setAway(!away),
    );
  /** Lines that were read, at a place; those that cannot be weighed are gaps. */
  const withReadings = (to: Item, place: Exclude<Place, { in: "finish" }>, readings: readonly Reading[]): Item => {
    const before = { components: componentsAt(to, place), gaps: to.gaps ?? [] };
    const { components, gaps } = fromLines(readings, place.in, before, catalogue);
    return { ...withComponents(to, place, components), measures: system, gaps: gaps.length > 0 ? gaps : undefined };
  };
  const table = { item, system, onChange: change, refused, onRefused: setRefused };
  return (
    <>
      <TopBar>
        <SavingState form={form} name="the item" />
      </TopBar>
      {conflict && <ConflictDialog key={conflict.theirs.revision} conflict={conflict} onResolve={form.resolve} />}
      <Main sx={{ px: { xs: 2, md: 4 }, py: 2.5 }}>
        <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap", mb: 1 }}>
          <Monogram name={item.name} tone={toneOf(place)} />
          <TextField
            value={item.name}
            onChange={(e) => change({ ...item, name: e.target.value })}
            error={item.name.trim() === ""}
            helperText={item.name.trim() === "" ? "the item needs a name" : undefined}
            slotProps={{ htmlInput: { "aria-label": "Name of the item" } }}
            sx={{ flex: "0 1 320px", "& input": { fontWeight: 640, fontSize: "1.1rem" } }}
          />
          <Box data-testid="claims" sx={{ color: COLOUR.soft, fontSize: "0.85rem", flex: "1 1 240px" }}>
            {isProvisional(item) && <strong>Provisional · </strong>}
            {claimsLines(item, choices, catalogue)}
          </Box>
          <Box sx={{ ml: "auto", display: "flex", gap: 1, flexWrap: "wrap" }}>
            <Button onClick={undo} disabled={!form.canUndo}>
              Undo
            </Button>
            <ExportItem item={item} />
            <Button onClick={() => copy(false)}>Duplicate</Button>
            <Button onClick={() => copy(true)}>Same dough, another filling</Button>
            <Button onClick={putAway}>{away ? "Bring back" : "Put away"}</Button>
          </Box>
        </Box>
        {told}
        {day && isRight(item) && <DayEffect next={day.next} before={stored.document} now={item} meansWith={meansWith} />}
        {away && (
          <Typography sx={{ color: COLOUR.caution, mb: 1 }}>
            Put away: it is not offered for new gatherings. “Bring back” undoes that.
          </Typography>
        )}
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 340px" },
            gap: 2.5,
            alignItems: "start",
          }}
        >
          <Box sx={{ display: "grid", gap: 2.5, gridTemplateColumns: "minmax(0, 1fr)" }}>
            <Paper component="section" aria-label="Formula" sx={{ p: 2 }}>
              <Box sx={{ display: "flex", alignItems: "flex-start", flexWrap: "wrap", columnGap: 2 }}>
                <Typography variant="h2">One batch, {item.base.pieces} pieces</Typography>
                <CupsSelect
                  label="Its cups and spoons"
                  value={system}
                  onChange={(next) => change(measuredIn(item, next, catalogue))}
                  sx={{ ml: "auto", width: 210 }}
                />
              </Box>
              <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
                {Math.round(totals.flourG)} g flour · {Math.round(totals.doughG)} g dough · hydration{" "}
                {Math.round(totals.hydrationPct)} % with the water in milk, egg and butter · fat {Math.round(totals.fatPct)} % of
                the flour as weighed
                {totals.pureFatPct > totals.fatPct + 0.5
                  ? `, ${Math.round(totals.pureFatPct)} % with what is in egg and milk`
                  : ""}
                {totals.saltPct > 0 ? ` · salt ${totals.saltPct.toFixed(1)} %` : ""}
                {totals.uncounted.length > 0 ? ` · without ${totals.uncounted.join(", ")}, whose water is not known` : ""}
              </Typography>
              {item.dough.parts.map((part, k) => (
                <FormulaTable key={part.id} {...table} place={{ in: "dough", part: k }} title={part.name} pct={totals.pct[k]} />
              ))}
              <AddLines
                label="Add to the dough"
                system={system}
                onAdd={(readings) => change(withReadings(item, { in: "dough", part: item.dough.parts.length - 1 }, readings))}
              />
              <FillingTables {...table} withReadings={withReadings} />
            </Paper>
            <FinishCard {...table} />
            {made && (
              <HowItIsMade
                made={made}
                chosen={{}}
                onChoose={({ family, method, shape, filling }) =>
                  makeOtherwise({
                    ...(family && { family }),
                    ...(method && { method }),
                    ...(shape && { shape }),
                    ...(filling && { filling }),
                  })
                }
              />
            )}
            <ByRuleCard item={item} onChange={change} />
            {unused.length > 0 && (
              <Banner kind="caution" title="What you changed about steps that are not there any more">
                {unused.join("; ")}. Undo brings it back.
              </Banner>
            )}
            <WaysCard item={item} onChange={change} made={made} onChoose={(choices) => makeOtherwise({ choices })} />
            <StepsCard
              item={item}
              choices={choices}
              onChoose={setChoices}
              chosen={optionsOf(item, choices)}
              leastCoreC={(step) => cores.find(({ id }) => id === step)?.coreC}
              mostHours={(step) => cores.find(({ id }) => id === step)?.ahead?.hours}
              onChange={change}
            />
            <ShapeCard item={item} />
            <SumsCard item={item} onChange={change} />
          </Box>
          <Box
            sx={{
              display: "grid",
              gap: 2.5,
              // Beside what is typed, and longer than the window: it has its own way down.
              position: { lg: "sticky" },
              top: 12,
              maxHeight: { lg: "calc(100vh - 24px)" },
              overflowY: { lg: "auto" },
            }}
          >
            <GapsCard item={item} onChange={change} />
            <ClaimsCard item={item} choices={choices} onChange={change} />
            <BalanceCard item={item} totals={totals} onChange={change} />
            <ChecksCard item={item} onChange={change} />
            <AsWritten item={item} />
            <PieceCard item={item} onChange={change} />
            <VersionsCard item={item} onChange={change} versions={versions} />
          </Box>
        </Box>
      </Main>
    </>
  );
}

/** A change of the cook's that has no place any more, in words. */
const editText = (edit: StepEdit): string =>
  edit.kind === "added" ? `the added step “${stepName(edit.step)}”` : `the change of “${edit.step.replace(/-/g, " ")}”`;
