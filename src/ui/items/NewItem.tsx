"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { familyOf } from "@/core/item/families";
import { fromLines, itemFromRecipe, readLines, type Guessed, type RecipeForm } from "@/core/item/recipe";
import type { Item } from "@/core/item/schema";
import { readOvenTemperature, type OvenRead } from "@/core/quantities/oven-text";
import { piecesText } from "@/core/plan/task-text";
import { issueText } from "@/core/shared/issue-text";
import type { Result } from "@/core/shared/issue";
import { Banner } from "../kit/Banner";
import { NumberField } from "../kit/NumberField";
import { TopBar } from "../kit/TopBar";
import { useAttempt } from "../kit/use-attempt";
import { CupsSelect } from "../kit/CupsSelect";
import { useDisplay } from "../kit/use-display";
import { Main } from "../kit/Main";
import { COLOUR } from "../theme/tokens";
import { claimsOf } from "@/core/item/claims";
import { isProvisional } from "@/core/item/gaps";
import { resolveItem } from "@/core/item/resolve";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { claimsLine } from "@/core/item/claims-text";
import { PasteLines } from "./PasteLines";

const EMPTY: Omit<RecipeForm, "system"> = { name: "", pieces: NaN, dough: "", filling: "", temperature: "", minutes: NaN };

interface Props {
  readonly items: readonly Item[];
  readonly create: (item: Item) => Promise<Result<{ id: string }>>;
}

/** A recipe from paper, typed as it stands there; the grams, the pieces and the steps fall out beside it. */
export function NewItem({ items, create }: Props) {
  const router = useRouter();
  const { display, heat } = useDisplay();
  const [measures, setMeasures] = useState<RecipeForm["system"]>();
  const system = measures ?? display.system;
  const { catalogue } = useCatalogue();
  const [form, setForm] = useState(EMPTY);
  const [likeId, setLikeId] = useState(items[0]?.id ?? "");
  const [asked, setAsked] = useState(false);
  const like = items.find((item) => item.id === likeId) ?? items[0];
  const made = useMemo(
    () =>
      like
        ? itemFromRecipe(
            { ...form, system, fanLessC: display.fanLessC },
            like,
            items.map((item) => item.id),
            catalogue,
          )
        : undefined,
    [form, system, like, items, catalogue, display.fanLessC],
  );
  const issues = made && !made.ok ? made.issues : [];
  const errorOf = (field: string, name: string) => {
    const issue = asked ? issues.find((i) => i.path[0] === field) : undefined;
    return issue && issueText(issue, name);
  };
  const set = (edit: Partial<typeof EMPTY>) => {
    setForm((now) => ({ ...now, ...edit }));
  };
  const oven = form.temperature.trim() ? readOvenTemperature(form.temperature, display.fanLessC) : undefined;
  const bakes = like?.steps.some((step) => step.kind === "bake");
  const family = useMemo(() => {
    if (!like) return undefined;
    const dough = fromLines(
      readLines(form.dough, system, catalogue),
      "dough",
      { components: [], gaps: [] },
      catalogue,
    ).components;
    return familyOf({ ...like, dough: { ...like.dough, parts: [{ id: "dough", name: "Dough", components: dough }] } }, catalogue);
  }, [form.dough, like, system, catalogue]);
  const guess = (what: Guessed, edit: Partial<typeof EMPTY>) =>
    set({ ...edit, guessed: [...(form.guessed ?? []).filter((one) => one !== what), what] });
  const { attempt, told } = useAttempt();
  const save = () => {
    setAsked(true);
    if (!made?.ok) return;
    const { value } = made;
    attempt(
      "Keeping it",
      () => create(value),
      ({ id }) => router.push(`/items/${id}`),
    );
  };
  return (
    <>
      <TopBar />
      <Main sx={{ px: { xs: 2, md: 4 }, py: 2.5, maxWidth: 1100 }}>
        <Typography variant="h1" gutterBottom>
          A recipe from paper
        </Typography>
        <Paper component="section" aria-label="Recipe" sx={{ p: 2, display: "grid", gap: 2 }}>
          <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "flex-start" }}>
            <TextField
              label="Name"
              value={form.name}
              onChange={(e) => set({ name: e.target.value })}
              error={errorOf("name", "The name") !== undefined}
              helperText={errorOf("name", "The name")}
              sx={{ flex: "1 1 220px" }}
            />
            <NumberField
              label="Pieces it makes"
              value={Number.isNaN(form.pieces) ? undefined : form.pieces}
              onChange={(v) => set({ pieces: v ?? NaN })}
              error={errorOf("pieces", "Pieces")}
              width={130}
            />
            <TextField
              select
              label="Made like"
              value={like?.id ?? ""}
              onChange={(e) => setLikeId(e.target.value)}
              helperText="steps, trays and keeping are taken from it"
              sx={{ flex: "1 1 200px" }}
            >
              {items.map((item) => (
                <MenuItem key={item.id} value={item.id}>
                  {item.name}
                </MenuItem>
              ))}
            </TextField>
            <CupsSelect label="Its cups and spoons" value={system} onChange={setMeasures} sx={{ flex: "0 1 210px" }} />
          </Box>
          <PasteLines
            label="Dough"
            value={form.dough}
            onChange={(dough) => set({ dough })}
            system={system}
            error={errorOf("dough", "The dough")}
            placeholder={"3 cups all-purpose flour\n1 cup cold butter\n½ tsp salt\n6 tbsp ice water"}
          />
          <PasteLines
            label="Filling"
            value={form.filling}
            onChange={(filling) => set({ filling })}
            system={system}
            error={errorOf("filling", "The filling")}
            placeholder={"2 medium onions\n1½ cups grated cheddar\n1 egg"}
          />
          {bakes && (
            <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "flex-start" }}>
              <TextField
                label="Oven"
                value={form.temperature}
                onChange={(e) => set({ temperature: e.target.value, guessed: form.guessed?.filter((one) => one !== "oven") })}
                placeholder="375 °F"
                error={errorOf("temperature", "The oven") !== undefined || (oven !== undefined && !oven.ok)}
                helperText={
                  oven
                    ? oven.ok
                      ? ovenText(oven.value, heat)
                      : issueText(oven.issues[0], "The oven")
                    : errorOf("temperature", "The oven")
                }
                sx={{ width: 300 }}
              />
              <NumberField
                label="Minutes in the oven"
                value={Number.isNaN(form.minutes) ? undefined : form.minutes}
                onChange={(v) => set({ minutes: v ?? NaN, guessed: form.guessed?.filter((one) => one !== "minutes") })}
                error={errorOf("minutes", "Minutes")}
                width={190}
              />
              {family && (
                <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center", fontSize: "0.88rem" }}>
                  {form.temperature.trim() === "" && (
                    <Button
                      size="small"
                      variant="outlined"
                      onClick={() => guess("oven", { temperature: `${family.ovenC.usual} °C fan` })}
                    >
                      Not said? {heat(`${family.ovenC.from} °C`)} to {heat(`${family.ovenC.to} °C`)} is usual for {family.name}:
                      take {heat(`${family.ovenC.usual} °C`)}, guessed
                    </Button>
                  )}
                  {Number.isNaN(form.minutes) && (
                    <Button size="small" variant="outlined" onClick={() => guess("minutes", { minutes: family.bakeMin.usual })}>
                      Not said? {family.bakeMin.from} to {family.bakeMin.to} min is usual: take {family.bakeMin.usual} min,
                      guessed
                    </Button>
                  )}
                </Box>
              )}
            </Box>
          )}
          {made?.ok && (
            <Banner
              kind="note"
              title={`${piecesText(made.value.base.pieces)} of ${made.value.piece.doughG} g dough${made.value.piece.fillingG > 0 ? ` and ${made.value.piece.fillingG} g filling` : ""}`}
            >
              {claimsLine(claimsOf(resolveItem(made.value, {}, "base"), catalogue))}. Read the labels: a name does not say all.
              {isProvisional(made.value) && ` Kept as provisional: ${provisionalText(made.value)}; it is settled on its desk.`}
            </Banner>
          )}
          {asked && issues.length > 0 && (
            <Banner
              kind="refused"
              role="alert"
              title={issues.length === 1 ? "One field needs you" : `${issues.length} fields need you`}
            >
              {issueText(issues[0], FIELD_NAMES[String(issues[0].path[0])])}
            </Banner>
          )}
          {told}
          <Box>
            <Button variant="contained" onClick={save}>
              Keep this item
            </Button>
            <Typography variant="caption" sx={{ ml: 2, color: COLOUR.soft }}>
              everything can be changed on its desk
            </Typography>
          </Box>
        </Paper>
      </Main>
    </>
  );
}

/** What an oven's heat is in this kitchen: with a fan, without one, as a gas mark; and what follows it. */
function ovenText({ read, fanC, toFanC, staticC, gas, then }: OvenRead, heat: (text: string) => string): string {
  const fan = toFanC === undefined ? heat(`${fanC} °C`) : `${heat(`${fanC} °C`)} to ${heat(`${toFanC} °C`)}`;
  const others = [`${heat(`${staticC} °C`)} without`, gas === undefined ? "" : `gas ${gas}`].filter(Boolean).join(", ");
  const later = then.map((next) => `, then ${heat(`${next.fanC} °C`)}`).join("");
  return `${read}: ${fan} in a fan oven (${others})${later}`;
}

/** What of an item is open, in a few words. */
function provisionalText({ gaps = [], guessed = [] }: Item): string {
  const lines = gaps.length > 0 ? [`${gaps.length} ${gaps.length === 1 ? "line is" : "lines are"} not weighed yet`] : [];
  return [
    ...lines,
    ...(guessed.length > 0 ? [`${guessed.length} ${guessed.length === 1 ? "figure is" : "figures are"} guessed`] : []),
  ].join(", ");
}

const FIELD_NAMES: Readonly<Record<string, string>> = {
  name: "The name",
  pieces: "Pieces",
  dough: "The dough",
  filling: "The filling",
  temperature: "The oven",
  minutes: "Minutes",
};
