"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { claimsLines } from "@/core/item/item-claims-text";
import type { MethodId } from "@/core/item/making/doughs";
import type { FillingId } from "@/core/item/making/fillings";
import { makeItem } from "@/core/item/making/make-item";
import { RecipeInputSchema } from "@/core/item/making/recipe-input";
import { readPaper } from "@/core/item/paper/sections";
import type { Item } from "@/core/item/schema";
import { piecesText } from "@/core/plan/task-text";
import type { System } from "@/core/quantities/unit-table";
import { issueText } from "@/core/shared/issue-text";
import type { Result } from "@/core/shared/issue";
import { parseWith } from "@/core/shared/parse";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { Banner } from "../kit/Banner";
import { CupsSelect } from "../kit/CupsSelect";
import { Main } from "../kit/Main";
import { NumberField } from "../kit/NumberField";
import { TopBar } from "../kit/TopBar";
import { useAttempt } from "../kit/use-attempt";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";
import { HowItIsMade, type Chosen } from "./HowItIsMade";
import { MadeSteps } from "./MadeSteps";
import { PasteLines } from "./PasteLines";

interface Form {
  readonly name: string;
  readonly makes: number | undefined;
  /** All of it, as it was pasted. */
  readonly whole: string;
  readonly dough: string;
  readonly fillings: readonly { readonly name: string | undefined; readonly text: string }[];
  readonly beside: readonly { readonly name: string | undefined; readonly text: string }[];
  readonly finish: string;
  readonly method: string;
}
const EMPTY: Form = {
  name: "",
  makes: undefined,
  whole: "",
  dough: "",
  fillings: [{ name: undefined, text: "" }],
  beside: [],
  finish: "",
  method: "",
};

const textOf = (lines: readonly { readonly text: string }[]): string => lines.map(({ text }) => text).join("\n");

interface Props {
  readonly items: readonly Item[];
  readonly create: (item: Item) => Promise<Result<{ id: string }>>;
}

/** A recipe from paper, pasted or typed whole; its parts, what kind of thing it is and the steps fall out of it. */
export function NewItem({ items, create }: Props) {
  const router = useRouter();
  const { display } = useDisplay();
  const { catalogue } = useCatalogue();
  const [measures, setMeasures] = useState<System>();
  const system = measures ?? display.system;
  const [form, setForm] = useState(EMPTY);
  const [chosen, setChosen] = useState<Chosen>({});
  const [asked, setAsked] = useState(false);
  const { attempt, told } = useAttempt();
  const set = (edit: Partial<Form>) => setForm((now) => ({ ...now, ...edit }));
  const divide = (whole: string) => {
    const paper = readPaper(whole, system, catalogue);
    const [first, ...others] = paper.fillings;
    set({
      whole,
      dough: textOf(paper.dough),
      fillings: [
        { name: first?.name, text: textOf(first?.lines ?? []) },
        ...others.map(({ name, lines }) => ({ name, text: textOf(lines) })),
      ],
      beside: paper.beside.map(({ name, lines }) => ({ name, text: textOf(lines) })),
      finish: textOf(paper.finish),
      method: paper.method.join("\n"),
    });
  };
  const input = useMemo(
    () => ({
      name: form.name,
      ...(form.makes !== undefined && { makes: form.makes }),
      dough: form.dough,
      fillings: form.fillings.filter(({ text }) => text.trim() !== "").map(({ name, text }) => ({ name, lines: text })),
      beside: form.beside.map(({ name, text }) => ({ name, lines: text })),
      finish: form.finish,
      method: form.method,
      measures: system,
      ...(chosen.family && { family: chosen.family }),
      ...(chosen.shape && { shape: chosen.shape }),
    }),
    [form, system, chosen],
  );
  const recipe = useMemo(() => parseWith(RecipeInputSchema, input), [input]);
  const made = useMemo(() => {
    // What it is made of is seen before it has a name.
    const read = form.name.trim() === "" ? parseWith(RecipeInputSchema, { ...input, name: "it" }) : recipe;
    if (!read.ok) return read;
    return makeItem(read.value, {
      taken: items.map((item) => item.id),
      catalogue,
      fanLessC: display.fanLessC,
      ...(chosen.method && { method: chosen.method as MethodId }),
      ...(chosen.filling && { filling: chosen.filling as FillingId }),
    });
  }, [input, recipe, form.name, items, catalogue, display.fanLessC, chosen]);
  const issues = [...(recipe.ok ? [] : recipe.issues), ...(recipe.ok && !made.ok ? made.issues : [])];
  const errorOf = (field: string, name: string) => {
    const issue = asked ? issues.find(({ path }) => path[0] === field) : undefined;
    return issue && issueText(issue, name);
  };
  const save = () => {
    setAsked(true);
    if (!recipe.ok || !made.ok) return;
    const { item } = made.value;
    attempt(
      "Keeping it",
      () => create(item),
      ({ id }) => router.push(`/items/${id}`),
    );
  };
  const setFilling = (k: number, text: string) =>
    set({ fillings: form.fillings.map((one, i) => (i === k ? { ...one, text } : one)) });
  return (
    <>
      <TopBar />
      <Main sx={{ px: { xs: 2, md: 4 }, py: 2.5, maxWidth: 1240 }}>
        <Typography variant="h1" gutterBottom>
          A recipe from paper
        </Typography>
        <Box
          sx={{
            display: "grid",
            gap: 2,
            gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 1.25fr) minmax(0, 1fr)" },
            alignItems: "start",
          }}
        >
          <Paper component="section" aria-label="Recipe" sx={{ p: 2, display: "grid", gap: 2 }}>
            <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "flex-start" }}>
              <TextField
                label="Name"
                value={form.name}
                onChange={(e) => set({ name: e.target.value })}
                error={errorOf("name", "The name") !== undefined}
                helperText={errorOf("name", "The name")}
                sx={{ flex: "1 1 200px" }}
              />
              <NumberField
                label="Pieces it makes"
                value={form.makes}
                onChange={(makes) => set({ makes })}
                error={errorOf("makes", "Pieces")}
                width={152}
              />
              <CupsSelect label="Its cups and spoons" value={system} onChange={setMeasures} sx={{ flex: "0 1 190px" }} />
            </Box>
            <TextField
              label="All of it"
              multiline
              minRows={3}
              maxRows={12}
              value={form.whole}
              onChange={(e) => divide(e.target.value)}
              placeholder={"Paste it as it stands, ingredients and method together; it is divided below."}
              slotProps={{ inputLabel: { shrink: true } }}
            />
            <PasteLines
              label="Dough"
              value={form.dough}
              onChange={(dough) => set({ dough })}
              system={system}
              error={errorOf("dough", "The dough") ?? errorOf("text", "The dough")}
              placeholder={"3 cups all-purpose flour\n1 cup cold butter\n½ tsp salt\n6 tbsp ice water"}
            />
            {form.fillings.map(({ name, text }, k) => (
              <PasteLines
                key={k}
                label={form.fillings.length === 1 ? "Filling" : (name ?? `Filling ${k + 1}`)}
                value={text}
                onChange={(next) => setFilling(k, next)}
                system={system}
                placeholder={"2 medium onions\n1½ cups grated cheddar\n1 egg"}
              />
            ))}
            {form.beside.map(({ name, text }, k) => (
              <PasteLines
                key={k}
                label={`Beside it: ${name ?? "what is served with it"}`}
                value={text}
                onChange={(next) => set({ beside: form.beside.map((one, i) => (i === k ? { ...one, text: next } : one)) })}
                system={system}
                placeholder={"200 g apples\n40 g sugar"}
              />
            ))}
            <PasteLines
              label="To finish"
              value={form.finish}
              onChange={(finish) => set({ finish })}
              system={system}
              placeholder={"1 egg\n1 tbsp milk"}
            />
            <TextField
              label="What is done"
              multiline
              minRows={4}
              value={form.method}
              onChange={(e) => set({ method: e.target.value })}
              placeholder={
                "Chill the dough for an hour.\nCook the onions 15 minutes, cool.\nRoll out, fill, fold over and crimp.\nBake at 375 °F for 25 minutes."
              }
              helperText="one thing a line; times and heat are taken from it"
              slotProps={{ inputLabel: { shrink: true } }}
            />
          </Paper>
          <Box sx={{ display: "grid", gap: 2 }}>
            {made.ok ? (
              <>
                <Banner
                  kind="note"
                  title={`${piecesText(made.value.item.base.pieces)} of ${made.value.item.piece.doughG} g dough${made.value.item.piece.fillingG > 0 ? ` and ${made.value.item.piece.fillingG} g filling` : ""}`}
                >
                  {claimsLines(made.value.item, {}, catalogue)}. Read the labels: a name does not say all.
                </Banner>
                <HowItIsMade made={made.value} chosen={chosen} onChoose={(edit) => setChosen((now) => ({ ...now, ...edit }))} />
                <MadeSteps made={made.value} />
              </>
            ) : (
              <Paper sx={{ p: 2, color: COLOUR.soft }}>
                What it is, what is in it and how it is made appear here once the dough has a line with an amount.
              </Paper>
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
          </Box>
        </Box>
      </Main>
    </>
  );
}

const FIELD_NAMES: Readonly<Record<string, string>> = {
  name: "The name",
  makes: "Pieces",
  dough: "The dough",
  text: "The dough",
  fillings: "The filling",
  method: "What is done",
};
