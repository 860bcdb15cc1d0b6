"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import Link from "next/link";
import { memo } from "react";
import type { Item } from "@/core/item/schema";
import { optionsOf } from "@/core/item/resolve";
import { Banner } from "../kit/Banner";
import { Monogram } from "../kit/Monogram";
import { NumberField } from "../kit/NumberField";
import { useDraft, usePlan } from "../plan/PlanProvider";
import type { Draft } from "../plan/plan-state";
import { COLOUR, toneOf } from "../theme/tokens";
import { useDisplay } from "../kit/use-display";
import { commonOf, coverage, demandRow, itemOrder, type DemandRow } from "./gathering.view-model";
import { isProvisional } from "@/core/item/gaps";
import { GuestsCard } from "./GuestsCard";
import { issueAt } from "./issues";
import { OccasionCard } from "./OccasionCard";

type Wave = NonNullable<Draft["waves"]>[number];
type Frozen = NonNullable<Draft["freezer"]>[number];
const NOTHING: readonly Frozen[] = [];

/** Who, when and what; the pieces and weights fall out beside each choice. */
export function GatheringView() {
  const { change, source } = usePlan();
  const { draft } = useDraft();
  const waves = draft.waves ?? [];
  const frozen = draft.freezer ?? NOTHING;
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 520px) minmax(0, 1fr)" },
        gap: 2.5,
        alignItems: "start",
      }}
    >
      <Box sx={{ display: "grid", gap: 2.5 }}>
        <OccasionCard />
        <GuestsCard />
        <CoverageCard />
      </Box>
      <Box sx={{ display: "grid", gap: 2.5 }}>
        {source.items.length === 0 && (
          <Banner kind="note" title="No recipe is here yet">
            Pieces, weights and the timeline begin with the first one: <Link href="/items/new">type in a recipe</Link>, then add
            it here.
          </Banner>
        )}
        {waves.map((wave, index) => (
          <WaveCard key={wave.id} wave={wave} index={index} theOnly={waves.length === 1 && frozen.length === 0} />
        ))}
        <FreezerCard frozen={frozen} />
        <CommonCard once={draft.mixTogether === true} />
        <Box>
          <Button
            variant="outlined"
            onClick={() =>
              change((d) => {
                const waves = d.waves ?? [];
                const id = `wave-${1 + Math.max(0, ...waves.map((w) => Number(/^wave-(\d+)$/.exec(w.id)?.[1] ?? 0)))}`;
                return { ...d, waves: [...waves, { id, name: "Another wave", time: "18:00", items: [] }] };
              })
            }
          >
            Add a serving wave
          </Button>
        </Box>
      </Box>
    </Box>
  );
}

/** The cards know the form only by what they are given: a guest more draws none of them anew before it is weighed. */
const WaveCard = memo(function WaveCard({ wave, index, theOnly }: { wave: Wave; index: number; theOnly: boolean }) {
  const { change, checked, latest } = usePlan();
  const set = (edit: Partial<Wave>) =>
    change((d) => ({ ...d, waves: (d.waves ?? []).map((w, i) => (i === index ? { ...w, ...edit } : w)) }));
  const timeIssue = issueAt(checked, ["gathering", "waves", index, "time"], "Serving time");
  const empty = wave.items.length === 0;
  return (
    <Paper component="section" aria-label={wave.name} sx={{ p: 2, borderLeft: `4px solid ${COLOUR.ember}` }}>
      <Box sx={{ display: "flex", alignItems: "flex-start", gap: 1.5, mb: 1 }}>
        <TextField
          value={wave.time}
          onChange={(e) => set({ time: e.target.value })}
          error={timeIssue !== undefined}
          helperText={timeIssue}
          slotProps={{ htmlInput: { "aria-label": `Time of ${wave.name}`, inputMode: "numeric", maxLength: 5 } }}
          sx={{ width: timeIssue ? 280 : 74, "& input": { fontWeight: 640 } }}
        />
        <TextField
          value={wave.name}
          onChange={(e) => set({ name: e.target.value })}
          slotProps={{ htmlInput: { "aria-label": `Name of wave ${index + 1}` } }}
          sx={{ flex: 1, "& input": { fontWeight: 640 } }}
        />
        <AddItem taken={wave.items.map((i) => i.recipe)} onAdd={(recipe) => set({ items: [...wave.items, { recipe }] })} />
        {!theOnly && empty && (
          <IconButton
            aria-label={`Remove ${wave.name}`}
            onClick={() => change((d) => ({ ...d, waves: (d.waves ?? []).filter((_, i) => i !== index) }))}
          >
            <DeleteOutline fontSize="small" />
          </IconButton>
        )}
      </Box>
      {empty ? (
        <Typography color="text.secondary">Nothing is served yet. Add an item and its pieces follow from the guests.</Typography>
      ) : (
        wave.items.map((entry, i) => (
          <DemandLine
            key={entry.recipe}
            recipe={entry.recipe}
            choices={entry.choices}
            row={latest && demandRow(latest.quantities, wave.id, entry.recipe)}
            asked={entry.pieces}
            fromGuests
            error={issueAt(checked, ["gathering", "waves", index, "items", i, "pieces"], "Pieces")}
            onChoose={(choices) => set({ items: wave.items.map((e, k) => (k === i ? { ...e, choices } : e)) })}
            onAsk={(pieces) => set({ items: wave.items.map((e, k) => (k === i ? { ...e, pieces } : e)) })}
            onRemove={() => set({ items: wave.items.filter((_, k) => k !== i) })}
          />
        ))
      )}
    </Paper>
  );
});

const FreezerCard = memo(function FreezerCard({ frozen }: { frozen: readonly Frozen[] }) {
  const { change, checked, latest } = usePlan();
  const set = (list: Frozen[]) => change((d) => ({ ...d, freezer: list }));
  const last = frozen.at(-1);
  return (
    <Paper component="section" aria-label="For the freezer" sx={{ p: 2, borderLeft: `4px solid ${COLOUR.tide}` }}>
      <Box sx={{ display: "flex", alignItems: "center", mb: 1 }}>
        <Typography variant="h2">For the freezer</Typography>
        <Box sx={{ ml: "auto" }}>
          <AddItem
            taken={frozen.map((f) => f.recipe)}
            onAdd={(recipe) => set([...frozen, { recipe, pieces: 12, by: last?.by ?? { day: 0, time: "20:00" } }])}
          />
        </Box>
      </Box>
      {frozen.length === 0 && (
        <Typography color="text.secondary">Nothing yet. What is added here shares dough and hands with the waves.</Typography>
      )}
      {frozen.map((entry, i) => (
        <DemandLine
          key={entry.recipe}
          recipe={entry.recipe}
          choices={entry.choices}
          row={latest && demandRow(latest.quantities, "freezer", entry.recipe)}
          asked={entry.pieces}
          note={`bagged by ${entry.by.time}${entry.by.day === 0 ? "" : ` on day ${entry.by.day > 0 ? "+" : "−"}${Math.abs(entry.by.day)}`}`}
          error={issueAt(checked, ["gathering", "freezer", i, "pieces"], "Pieces")}
          onChoose={(choices) => set(frozen.map((e, k) => (k === i ? { ...e, choices } : e)))}
          onAsk={(pieces) => set(frozen.map((e, k) => (k === i ? { ...e, pieces: pieces ?? NaN, split: undefined } : e)))}
          onRemove={() => set(frozen.filter((_, k) => k !== i))}
        />
      ))}
    </Paper>
  );
});

interface LineProps {
  readonly recipe: string;
  readonly choices?: Record<string, string>;
  readonly row: DemandRow | undefined;
  readonly asked: number | undefined;
  readonly fromGuests?: boolean;
  readonly note?: string;
  readonly error?: string;
  readonly onChoose: (choices: Record<string, string>) => void;
  readonly onAsk: (pieces: number | undefined) => void;
  readonly onRemove: () => void;
}

/** One item: how many, why so many, and what that weighs. */
function DemandLine({ recipe, choices, row, asked, fromGuests, note, error, onChoose, onAsk, onRemove }: LineProps) {
  const { weight } = useDisplay();
  const { source } = usePlan();
  const order = itemOrder(source.items);
  const item = source.items.find((i) => i.id === recipe);
  if (!item) return null;
  return (
    <Box
      data-testid={`line-${recipe}`}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "30px 1fr auto", md: "30px minmax(140px, 1fr) 60px 112px minmax(200px, 1.3fr) 34px" },
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
        <Ways item={item} choices={choices ?? {}} onChoose={onChoose} />
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
          pieces
        </Typography>
      </Box>
      <Box>
        <NumberField
          label={`Pieces of ${item.name} asked for`}
          value={asked}
          onChange={onAsk}
          error={error}
          placeholder={fromGuests ? "from guests" : "pieces"}
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
                row.needed !== null && row.needed !== row.pieces ? `${row.needed} needed` : "",
                row.loads,
                row.feeds !== undefined && row.feeds > 0 ? `enough for ${row.feeds} guests` : "",
                note ?? "",
              ]
                .filter(Boolean)
                .join(" · ")}
            </Box>
          </>
        )}
      </Box>
      <IconButton aria-label={`Remove ${item.name}`} onClick={onRemove} size="small">
        <DeleteOutline fontSize="small" />
      </IconButton>
    </Box>
  );
}

/** Asks for a whole tray, tier or load more or fewer. */
function Fill({ label, means, item, onClick }: { label: string; means: string; item: string; onClick: () => void }) {
  return (
    <Box
      component="button"
      type="button"
      onClick={onClick}
      aria-label={`${item}: ${means}`}
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

/** The ways in which an item can be made, each a choice that changes steps, weights or who may eat it. */
function Ways({
  item,
  choices,
  onChoose,
}: {
  item: Item;
  choices: Record<string, string>;
  onChoose: (choices: Record<string, string>) => void;
}) {
  const chosen = optionsOf(item, choices);
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 1 }}>
      {item.schools.map((school, i) => (
        <Box
          key={school.id}
          component="select"
          value={chosen[i].id}
          aria-label={`${item.name}: ${school.question || school.id}`}
          title={chosen[i].effect}
          onChange={(e: React.ChangeEvent<HTMLSelectElement>) => onChoose({ ...choices, [school.id]: e.target.value })}
          sx={{
            font: "inherit",
            fontSize: "0.75rem",
            color: COLOUR.soft,
            border: 0,
            borderBottom: `1px dotted ${COLOUR.soft}`,
            background: "none",
            maxWidth: 170,
            py: 0.25,
            cursor: "pointer",
          }}
        >
          {school.options.map((option) => (
            <option key={option.id} value={option.id}>
              {option.name}
            </option>
          ))}
        </Box>
      ))}
    </Box>
  );
}

/** Who keeps to something, and what there is for them in each wave; nobody is left out unseen. */
const CoverageCard = memo(function CoverageCard() {
  const { latest } = usePlan();
  const waves = latest ? coverage(latest.request, latest.quantities) : [];
  if (waves.length === 0) return null;
  return (
    <Paper component="section" aria-label="Who eats what" sx={{ p: 2 }}>
      <Typography variant="h2" gutterBottom>
        Who eats what
      </Typography>
      {waves.map(({ wave, name, rows }) => (
        <Box key={wave} sx={{ mb: 1 }}>
          <Typography variant="h3">{name}</Typography>
          {rows.map(({ who, count, items }) => (
            <Box
              key={who}
              sx={{
                display: "grid",
                gridTemplateColumns: "130px 1fr",
                gap: 1,
                py: 0.4,
                borderTop: `1px solid ${COLOUR.line}`,
                fontSize: "0.85rem",
              }}
            >
              <span>
                {who} ({count})
              </span>
              <Box sx={{ color: items.length === 0 ? COLOUR.ember : COLOUR.ink, fontWeight: items.length === 0 ? 650 : 400 }}>
                {items.length === 0 ? "✕ nothing yet" : items.join(", ")}
              </Box>
            </Box>
          ))}
        </Box>
      ))}
      <Typography variant="caption">By recipe and option; labels, shared boards and local rules come first.</Typography>
    </Paper>
  );
});

/** What several items have in common, and whether it is made once for all of them. */
const CommonCard = memo(function CommonCard({ once }: { once: boolean }) {
  const { change, latest } = usePlan();
  const { weight } = useDisplay();
  const common = latest ? commonOf(latest.quantities) : [];
  if (common.length === 0) return null;
  return (
    <Paper component="section" aria-label="In common" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", columnGap: 2 }}>
        <Typography variant="h2">In common</Typography>
        <FormControlLabel
          sx={{ ml: "auto", mr: 0 }}
          control={<Switch checked={once} onChange={(_, on) => change((d) => ({ ...d, mixTogether: on ? true : undefined }))} />}
          label="Make it once"
        />
      </Box>
      {common.map(({ part, totalG, shares }) => (
        <Typography key={`${part} ${shares.map((share) => share.name).join()}`} sx={{ fontSize: "0.88rem" }}>
          The same {part}: {weight(totalG)} {once ? "made once and divided" : "made apart"},{" "}
          {shares.map((share) => `${weight(share.grams)} for ${share.name}`).join(" and ")}.
        </Typography>
      ))}
    </Paper>
  );
});

function AddItem({ taken, onAdd }: { taken: readonly string[]; onAdd: (recipe: string) => void }) {
  const { source } = usePlan();
  const left = source.items.filter((item) => source.inUse.includes(item.id) && !taken.includes(item.id));
  if (left.length === 0) return null;
  return (
    <TextField
      select
      value=""
      onChange={(e) => onAdd(e.target.value)}
      slotProps={{ select: { displayEmpty: true, renderValue: () => "Add an item" }, htmlInput: { "aria-label": "Add an item" } }}
      sx={{ width: 136 }}
    >
      {left.map((item) => (
        <MenuItem key={item.id} value={item.id}>
          {item.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
