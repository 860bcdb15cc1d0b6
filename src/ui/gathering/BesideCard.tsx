"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import { BESIDE_DEFAULTS, BESIDE_KINDS, offeredBeside, type BesideAmount, type BesideKind } from "@/core/gathering/beside";
import { allergenOf } from "@/core/ingredients/allergen";
import { amountText } from "@/core/quantities/display";
import { lengthText } from "@/core/shared/clock";
import { freshId } from "@/core/shared/fresh-id";
import { NumberField } from "../kit/NumberField";
import { besideFor, besideStart } from "../plan/beside-text";
import { useDraft, usePlan } from "../plan/PlanProvider";
import { momentText, summarise } from "../plan/plan-summary";
import type { Draft } from "../plan/plan-state";
import { usePlanDisplay } from "../plan/use-plan-display";
import { COLOUR } from "../theme/tokens";
import { issueAt } from "./issues";

type Beside = NonNullable<Draft["beside"]>[number];

const KIND_TEXT: Readonly<Record<BesideKind, string>> = { dip: "a dip", drink: "a drink", side: "a side" };
const NAME: Readonly<Record<BesideKind, string>> = { dip: "Dip", drink: "Drink", side: "Side" };

/** Dips, drinks and sides: how much of each, out of what, and when it has to be begun. */
export function BesideCard() {
  const { change, latest, source } = usePlan();
  const { items } = source;
  const { draft } = useDraft();
  const beside = draft.beside ?? [];
  const waves = draft.waves ?? [];
  const set = (next: readonly Beside[]) => change((d) => ({ ...d, beside: next.length > 0 ? [...next] : undefined }));
  const add = (kind: BesideKind) =>
    set([
      ...beside,
      {
        ...BESIDE_DEFAULTS[kind],
        parts: [],
        id: freshId(
          kind,
          beside.map(({ id }) => id),
        ),
        name: NAME[kind],
        wave: waves[0].id,
      },
    ]);
  if (waves.length === 0) return null;
  // What belongs to an item that is served, and is not made yet.
  const offers = waves.flatMap((wave) =>
    wave.items.flatMap(({ recipe }) => {
      const item = items.find(({ id }) => id === recipe);
      return (item?.beside ?? []).flatMap((own) => {
        const one = offeredBeside(item!, own, wave.id);
        const isThere = beside.some((other) => other.recipe === one.recipe && other.name === one.name && other.wave === wave.id);
        return isThere
          ? []
          : [
              {
                item: item!,
                wave,
                one: {
                  ...one,
                  id: freshId(
                    one.id,
                    beside.map(({ id }) => id),
                  ),
                },
              },
            ];
      });
    }),
  );
  return (
    <Paper component="section" aria-label="Beside the pieces" sx={{ p: 2 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Beside the pieces
      </Typography>
      {beside.map((one, i) => (
        <Line
          key={one.id}
          one={one}
          index={i}
          amount={latest?.quantities.beside.find(({ of }) => of.id === one.id)}
          onChange={(edit) => set(beside.map((other, k) => (k === i ? { ...other, ...edit } : other)))}
          onRemove={() => set(beside.filter((_, k) => k !== i))}
        />
      ))}
      {offers.map(({ item, one, wave }) => (
        <Box key={one.id} sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap", mb: 1, fontSize: "0.9rem" }}>
          <span>
            {one.name} belongs to {item.name} at {wave.name}: {amountText(one.amount, one.unit ?? "g")} a piece.
          </span>
          <Button size="small" variant="outlined" onClick={() => set([...beside, one])}>
            Make it too
          </Button>
        </Box>
      ))}
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        {BESIDE_KINDS.map((kind) => (
          <Button key={kind} size="small" variant="outlined" onClick={() => add(kind)}>
            Add {KIND_TEXT[kind]}
          </Button>
        ))}
      </Box>
    </Paper>
  );
}

interface LineProps {
  readonly one: Beside;
  readonly index: number;
  readonly amount: BesideAmount | undefined;
  readonly onChange: (edit: Partial<Beside>) => void;
  readonly onRemove: () => void;
}

function Line({ one, index, amount, onChange, onRemove }: LineProps) {
  const { checked, latest, good, stale } = usePlan();
  const { draft } = useDraft();
  const { clock } = usePlanDisplay(good?.plan);
  const issue = (field: string, name: string) => issueAt(checked, ["gathering", "beside", index, field], name);
  const parts = one.parts ?? [];
  const { name } = one;
  const begins = good && !stale ? besideStart(good.plan, one.id) : undefined;
  const number = (field: "amount" | "handsMin" | "hobMin" | "coolMin" | "keepsH", label: string, width = 70) => (
    <NumberField
      label={`${name}, ${label}`}
      value={one[field]}
      onChange={(value) => onChange({ [field]: value ?? (field === "keepsH" ? undefined : NaN) })}
      error={issue(field, label)}
      width={width}
      quiet
    />
  );
  return (
    <Box
      role="group"
      aria-label={name || "Beside"}
      sx={{
        borderTop: `1px solid ${COLOUR.line}`,
        py: 1,
        display: "grid",
        gap: 0.75,
        fontSize: "0.85rem",
        color: COLOUR.soft,
        "& > .fields": { display: "flex", flexWrap: "wrap", gap: 0.75, alignItems: "center" },
      }}
    >
      <div className="fields">
        <TextField
          value={name}
          onChange={(event) => onChange({ name: event.target.value })}
          error={issue("name", "Name") !== undefined}
          helperText={issue("name", "Name")}
          slotProps={{ htmlInput: { "aria-label": `Name of ${KIND_TEXT[one.kind]}` } }}
          sx={{ flex: "1 1 140px", "& input": { fontWeight: 640 } }}
        />
        <Box sx={{ color: COLOUR.ink }} data-testid="beside-total">
          <Box component="span" sx={{ fontFamily: '"Fraunces Variable", serif', fontSize: "1.4rem", fontWeight: 560 }}>
            {amount ? amountText(amount.total, amount.of.unit) : "–"}
          </Box>{" "}
          {amount && `for ${besideFor(amount)}${amount.lots === undefined ? "" : `, ${amount.lots} × its recipe`}`}
        </Box>
        <IconButton aria-label={`Remove ${name}`} onClick={onRemove} size="small">
          <DeleteOutline fontSize="small" />
        </IconButton>
      </div>
      {begins !== undefined && good && latest && (
        <Box sx={{ color: COLOUR.ink }}>
          Begun {momentText(good.plan, begins, summarise(good.plan)?.severalDays ?? false, clock)}
          {(one.hobMin ?? 0) > 0 && `, ${lengthText(one.hobMin!)} on a ring`}
          {(one.coolMin ?? 0) > 0 && `, ${lengthText(one.coolMin!)} to cool`}
        </Box>
      )}
      <div className="fields">
        {number("amount", "amount each")}
        <TextField
          select
          value={one.unit ?? "ml"}
          onChange={(event) => onChange({ unit: event.target.value as "ml" | "g" })}
          slotProps={{ htmlInput: { "aria-label": `${name}, unit` } }}
          sx={{ width: 70 }}
        >
          <MenuItem value="ml">ml</MenuItem>
          <MenuItem value="g">g</MenuItem>
        </TextField>
        <TextField
          select
          value={one.per}
          onChange={(event) => onChange({ per: event.target.value as Beside["per"] })}
          slotProps={{ htmlInput: { "aria-label": `${name}, for each` } }}
          sx={{ width: 120 }}
        >
          <MenuItem value="piece">a piece</MenuItem>
          <MenuItem value="head">a guest</MenuItem>
        </TextField>
        at
        <TextField
          select
          value={one.wave}
          onChange={(event) => onChange({ wave: event.target.value })}
          error={issue("wave", "The serving") !== undefined}
          slotProps={{ htmlInput: { "aria-label": `${name}, served at` } }}
          sx={{ minWidth: 120 }}
        >
          {(draft.waves ?? []).map((wave) => (
            <MenuItem key={wave.id} value={wave.id}>
              {wave.name}
            </MenuItem>
          ))}
        </TextField>
      </div>
      {parts.map((part, p) => {
        const setPart = (edit: Partial<typeof part>) =>
          onChange({ parts: parts.map((other, k) => (k === p ? { ...other, ...edit } : other)) });
        const path = `Part ${p + 1} of ${name}`;
        return (
          <div className="fields" key={p}>
            <NumberField
              label={`${path}, ratio`}
              value={part.ratio}
              onChange={(ratio) => setPart({ ratio: ratio ?? NaN })}
              error={issueAt(checked, ["gathering", "beside", index, "parts", p, "ratio"], "Parts")}
              width={60}
              quiet
            />
            <span>{part.ratio === 1 ? "part" : "parts"}</span>
            <TextField
              value={part.name}
              onChange={(event) => setPart({ name: event.target.value })}
              error={issueAt(checked, ["gathering", "beside", index, "parts", p, "name"], "Part") !== undefined}
              helperText={issueAt(checked, ["gathering", "beside", index, "parts", p, "name"], "Part")}
              slotProps={{ htmlInput: { "aria-label": path } }}
              sx={{ flex: "1 1 140px" }}
            />
            <Box sx={{ color: COLOUR.ink, minWidth: 64, textAlign: "right" }}>
              {amount?.parts[p] && amountText(amount.parts[p].amount, amount.of.unit)}
            </Box>
            <IconButton
              size="small"
              aria-label={`Remove ${path.toLowerCase()}`}
              onClick={() => onChange({ parts: parts.filter((_, k) => k !== p) })}
            >
              <DeleteOutline fontSize="small" />
            </IconButton>
          </div>
        );
      })}
      <div className="fields">
        <Button size="small" onClick={() => onChange({ parts: [...parts, { name: "", ratio: 1 }] })}>
          {parts.length === 0 ? "What goes into it" : "Another part"}
        </Button>
        <span>hands</span>
        {number("handsMin", "minutes of hands", 58)}
        <span>min · on a ring</span>
        {number("hobMin", "minutes on a ring", 58)}
        <span>min · cools</span>
        {number("coolMin", "minutes to cool", 58)}
        <span>min · keeps</span>
        {number("keepsH", "hours it keeps", 58)}
        <span>h</span>
      </div>
      {amount && (amount.contains.length > 0 || amount.unknown.length > 0) && (
        <Box>
          {amount.contains.length > 0 && `Contains ${[...new Set(amount.contains.map(allergenOf))].join(", ")}. `}
          {amount.unknown.length > 0 && <strong>Not known what is in {amount.unknown.join(", ")}: read the label.</strong>}
        </Box>
      )}
    </Box>
  );
}
