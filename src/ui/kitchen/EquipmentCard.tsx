"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import Paper from "@mui/material/Paper";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import type { Item } from "@/core/item/schema";
import { capacitiesOf, type Room } from "@/core/kitchen/capacity";
import type { Kitchen } from "@/core/kitchen/schema";
import { sizesOf } from "@/core/kitchen/sizes";
import { Curve } from "../kit/Curve";
import { NumberField } from "../kit/NumberField";
import { COLOUR } from "../theme/tokens";
import { consequence, type EquipmentField, type EquipmentId, type EquipmentKind } from "./equipment-fields";
import { fryerCurve } from "./fryer-curve";
import { Scale, type Shape } from "./Scale";

/** Shelves, tiers and trays that are drawn beside one another; their number stands below. */
const MOST_DRAWN = 6;
/** A kitchen names so many sizes of a kind beside the first. */
const MOST_SIZES = 6;

type Values = Readonly<Record<string, unknown>>;

interface Props {
  readonly kind: EquipmentKind;
  readonly kitchen: Kitchen;
  /** The item that it is shown with. */
  readonly item: Item | undefined;
  readonly value: Values;
  readonly onChange: (value: Values | undefined) => void;
}

/** A piece of equipment: what it takes of an item first, drawn, then its sizes. */
export function EquipmentCard({ kind, kitchen, item, value, onChange }: Props) {
  const says = consequence(kind.id, kitchen, item);
  const drawn = drawing(kind.id, kitchen, item);
  const [isCurveOpen, setCurveOpen] = useState(false);
  const curve = kind.id === "fryer" ? fryerCurve(kitchen, item) : undefined;
  return (
    <Paper component="section" aria-label={kind.name} sx={{ p: 2, display: "grid", gap: 1.25, alignContent: "start" }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1 }}>
        <Typography variant="h2">{kind.name}</Typography>
        <Button size="small" onClick={() => onChange(undefined)} aria-label={`Take away: ${kind.name}`} sx={{ ml: "auto" }}>
          Take away
        </Button>
      </Box>
      {says && <Box sx={{ fontSize: "1rem", fontWeight: 600 }}>{says}</Box>}
      {drawn && (
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, alignItems: "flex-end" }}>
          {Array.from({ length: Math.min(MOST_DRAWN, drawn.times) }, (_, i) => (
            <Scale key={i} shape={drawn.shape} pieces={drawn.pieces} inside={drawn.inside} />
          ))}
          {otherSizes(kind.id, kitchen, item).map(({ shape, pieces }, i) => (
            <Scale key={`other ${i}`} shape={shape} pieces={pieces} />
          ))}
        </Box>
      )}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.25, alignItems: "flex-end" }}>
        {kind.fields.map((field) => (
          <OneField
            key={field.key}
            field={field}
            of={kind.name}
            value={value[field.key]}
            onChange={(next) => {
              const { [field.key]: _before, ...others } = value;
              onChange(next === undefined ? others : { ...others, [field.key]: next });
            }}
          />
        ))}
      </Box>
      {curve && (
        <Box component="details" onToggle={(event) => setCurveOpen(event.currentTarget.open)} sx={{ fontSize: "0.875rem" }}>
          <Box component="summary" sx={{ cursor: "pointer", minHeight: 28, color: COLOUR.tide }}>
            {curve.title}
          </Box>
          {isCurveOpen && <Curve chart={curve} />}
        </Box>
      )}
      {kind.sized && <OtherSizes kind={kind} keys={kind.sized} value={value} onChange={onChange} />}
    </Paper>
  );
}

/** The same kind in other sizes, each with its own number. */
function OtherSizes({
  kind,
  keys,
  value,
  onChange,
}: {
  kind: EquipmentKind;
  keys: readonly string[];
  value: Values;
  onChange: (value: Values) => void;
}) {
  const others = (value.others as readonly Values[] | undefined) ?? [];
  const put = (next: readonly Values[]) => {
    const { others: _before, ...first } = value;
    onChange(next.length === 0 ? first : { ...first, others: next });
  };
  const fields = kind.fields.filter(({ key }) => keys.includes(key));
  return (
    <>
      {others.map((other, i) => (
        <Box
          key={i}
          role="group"
          aria-label={`${kind.name}, size ${i + 2}`}
          sx={{
            display: "flex",
            flexWrap: "wrap",
            gap: 1.25,
            alignItems: "flex-end",
            borderTop: 1,
            borderColor: "divider",
            pt: 1,
          }}
        >
          {fields.map((field) => (
            <OneField
              key={field.key}
              field={field}
              of={`${kind.name}, size ${i + 2}`}
              value={other[field.key]}
              onChange={(next) => put(others.map((one, k) => (k === i ? { ...one, [field.key]: next } : one)))}
            />
          ))}
          <Button
            size="small"
            aria-label={`Take away: ${kind.name}, size ${i + 2}`}
            onClick={() => put(others.filter((_, k) => k !== i))}
          >
            Take away
          </Button>
        </Box>
      ))}
      {others.length < MOST_SIZES && (
        <Button
          size="small"
          sx={{ justifySelf: "start" }}
          aria-label={`${kind.name}: another size`}
          onClick={() =>
            put([...others, { ...Object.fromEntries(keys.map((key) => [key, value[key] ?? kind.begin[key]])), count: 1 }])
          }
        >
          One of another size
        </Button>
      )}
    </>
  );
}

function OneField({
  field: { label, kind },
  of,
  value,
  onChange,
}: {
  field: EquipmentField;
  of: string;
  value: unknown;
  onChange: (value: unknown) => void;
}) {
  switch (kind) {
    case "number":
      return (
        <Labelled label={label}>
          <NumberField quiet label={`${of}: ${label}`} value={value as number | undefined} onChange={onChange} width={96} />
        </Labelled>
      );
    case "switch":
      return <FormControlLabel control={<Switch checked={value === true} onChange={(_, on) => onChange(on)} />} label={label} />;
    case "mm": {
      const [length, width] = (value as readonly (number | undefined)[] | undefined) ?? [];
      return (
        <Labelled label={label}>
          <Box sx={{ display: "flex", gap: 0.75, alignItems: "center" }}>
            <NumberField
              quiet
              label={`${of}: ${label}, length`}
              value={length}
              onChange={(next) => onChange([next, width])}
              width={80}
            />
            ×
            <NumberField
              quiet
              label={`${of}: ${label}, width`}
              value={width}
              onChange={(next) => onChange([length, next])}
              width={80}
            />
          </Box>
        </Labelled>
      );
    }
    case "list":
      return <ListField label={`${of}: ${label}`} shown={label} value={value as readonly number[]} onChange={onChange} />;
  }
}

/** Several numbers, kept as they are typed. */
function ListField({
  label,
  shown,
  value,
  onChange,
}: {
  label: string;
  shown: string;
  value: readonly number[];
  onChange: (value: readonly number[]) => void;
}) {
  const [typed, setTyped] = useState<string>();
  return (
    <Labelled label={shown}>
      <TextField
        value={typed ?? value.join(", ")}
        onChange={(event) => {
          setTyped(event.target.value);
          onChange(
            event.target.value
              .split(/[;,\s]+/)
              .filter((text) => text !== "")
              .map(Number),
          );
        }}
        onBlur={() => setTyped(value.some(Number.isNaN) ? typed : undefined)}
        slotProps={{ htmlInput: { "aria-label": label } }}
        sx={{ width: 180 }}
      />
    </Labelled>
  );
}

function Labelled({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box>
      <Box aria-hidden sx={{ fontSize: "0.78rem", color: COLOUR.soft, mb: 0.25 }}>
        {label}
      </Box>
      {children}
    </Box>
  );
}

const isSize = (n: unknown): n is number => typeof n === "number" && n >= 5 && n <= 3000;
const rect = (mm: unknown): Shape | undefined =>
  Array.isArray(mm) && isSize(mm[0]) && isSize(mm[1]) ? [mm[0], mm[1]] : isSize(mm) ? mm : undefined;

/** What else there is of a kind, in its sizes, with what goes on it. */
function otherSizes(id: EquipmentId, kitchen: Kitchen, item: Item | undefined): { shape: Shape; pieces: number | undefined }[] {
  if (id !== "tray" && id !== "board" && id !== "lidded-pan") return [];
  const rooms = item && capacitiesOf(item, kitchen).rooms[id === "lidded-pan" ? "pan" : id];
  return sizesOf(id, kitchen)
    .slice(1)
    .flatMap(({ ids, count, is }) => {
      const shape = rect(is.mm);
      const pieces = rooms?.find((room) => room.ids[0] === ids[0])?.pieces;
      return shape === undefined ? [] : Array.from({ length: Math.min(MOST_DRAWN, count) }, () => ({ shape, pieces }));
    });
}

/** What is drawn of a piece of equipment; nothing where it has no size, or one that cannot be. */
function drawing(id: EquipmentId, kitchen: Kitchen, item: Item | undefined) {
  const { oven, tray, board, rack, tins, steamer } = kitchen.equipment;
  const pan = kitchen.equipment["lidded-pan"];
  const shelf = kitchen.equipment["fridge-shelf"];
  const fit = item && capacitiesOf(item, kitchen);
  const firstOf = (rooms: readonly Room[] | undefined) => rooms?.find(({ ids }) => ids[0] === id)?.pieces;
  const made = (mm: unknown, pieces?: number, inside?: Shape, times: number = 1) => {
    const shape = rect(mm);
    return shape === undefined ? undefined : { shape, pieces, inside, times: Number.isInteger(times) && times > 0 ? times : 1 };
  };
  switch (id) {
    case "oven":
      return made(oven?.shelfMm ?? tray?.mm, fit?.tray, oven?.shelfMm && rect(tray?.mm), oven?.shelfPositions);
    case "tray":
      return made(tray?.mm, firstOf(fit?.rooms.tray), undefined, tray?.count);
    case "board":
      return made(board?.mm, firstOf(fit?.rooms.board), undefined, board?.count);
    case "rack":
      return made(rack?.mm);
    case "tins":
      return made(tins?.mm);
    case "lidded-pan":
      return made(pan?.mm, firstOf(fit?.rooms.pan), undefined, pan?.count);
    case "steamer":
      return made(steamer?.mm, fit?.tier, undefined, steamer?.tiers);
    case "fridge-shelf":
      // A shelf is as large as the trays that it takes.
      return made(tray?.mm, fit?.tray, undefined, Math.floor((shelf?.count ?? 0) * (shelf?.fitsTraysEach ?? 1)));
    case "freezer-tray":
      return made(tray?.mm, fit?.freezerTray, undefined, kitchen.equipment["freezer-tray"]?.count);
    default:
      return undefined;
  }
}
