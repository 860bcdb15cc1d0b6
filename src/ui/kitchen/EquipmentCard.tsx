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
import { capacitiesOf } from "@/core/kitchen/capacity";
import type { Kitchen } from "@/core/kitchen/schema";
import { NumberField } from "../kit/NumberField";
import { COLOUR } from "../theme/tokens";
import { consequence, type EquipmentField, type EquipmentId, type EquipmentKind } from "./equipment-fields";
import { Scale, type Shape } from "./Scale";

/** Shelves, tiers and trays that are drawn beside one another; their number stands below. */
const MOST_DRAWN = 6;

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
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
          {Array.from({ length: Math.min(MOST_DRAWN, drawn.times) }, (_, i) => (
            <Scale key={i} shape={drawn.shape} pieces={drawn.pieces} inside={drawn.inside} />
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
    </Paper>
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

/** What is drawn of a piece of equipment; nothing where it has no size, or one that cannot be. */
function drawing(id: EquipmentId, kitchen: Kitchen, item: Item | undefined) {
  const { oven, tray, board, rack, tins, steamer } = kitchen.equipment;
  const pan = kitchen.equipment["lidded-pan"];
  const shelf = kitchen.equipment["fridge-shelf"];
  const fit = item && capacitiesOf(item, kitchen);
  const isSize = (n: unknown): n is number => typeof n === "number" && n >= 5 && n <= 3000;
  const rect = (mm: unknown): Shape | undefined =>
    Array.isArray(mm) && isSize(mm[0]) && isSize(mm[1]) ? [mm[0], mm[1]] : isSize(mm) ? mm : undefined;
  const made = (mm: unknown, pieces?: number, inside?: Shape, times: number = 1) => {
    const shape = rect(mm);
    return shape === undefined ? undefined : { shape, pieces, inside, times: Number.isInteger(times) && times > 0 ? times : 1 };
  };
  switch (id) {
    case "oven":
      return made(oven?.shelfMm ?? tray?.mm, fit?.tray, oven?.shelfMm && rect(tray?.mm), oven?.shelfPositions);
    case "tray":
      return made(tray?.mm, fit?.tray);
    case "board":
      return made(board?.mm, fit?.board);
    case "rack":
      return made(rack?.mm);
    case "tins":
      return made(tins?.mm);
    case "lidded-pan":
      return made(pan?.mm, fit?.panLoad);
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
