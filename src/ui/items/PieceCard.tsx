"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { capacityByMeasures, CARRIERS, setCapacity, type Carrier } from "@/core/item/making/settle";
import type { Item } from "@/core/item/schema";
import { NumberField } from "../kit/NumberField";
import { COLOUR } from "../theme/tokens";
import { PieceDrawing } from "./PieceDrawing";

const CARRIER_NAME: Readonly<Record<Carrier, string>> = {
  perTray: "On a tray",
  perBoard: "On a board",
  perSteamerTier: "On a tier",
  perSteamerLoad: "In the steamer",
  perFryerLoad: "In the oil",
  perPanLoad: "In the pan",
  perFreezerTray: "On a freezer tray",
};
const HEADS = [
  { key: "adult", name: "Adult" },
  { key: "teen", name: "Teen" },
  { key: "child", name: "Child" },
] as const;
const MOST_PIECES = 2000;
const MOST_MM = 600;

interface Props {
  readonly item: Item;
  readonly onChange: (item: Item) => void;
}

/** One piece: its size, how many lie where, how many are eaten, how long it keeps; each can be said otherwise. */
export function PieceCard({ item, onChange }: Props) {
  const { piece, capacity } = item;
  const measured = capacityByMeasures(item);
  const [length, width] = piece.footprintMm ?? [80, 80];
  const size = (footprintMm: readonly [number, number]) =>
    footprintMm.every((mm) => mm > 0 && mm <= MOST_MM) &&
    onChange({ ...item, piece: { ...piece, footprintMm: [...footprintMm] } });
  return (
    <Paper component="section" aria-label="The piece" sx={{ p: 2, display: "grid", gap: 1.5 }}>
      <Box>
        <Typography variant="h2">The piece</Typography>
        <Typography variant="body2" color="text.secondary">
          {piece.shape}
        </Typography>
      </Box>
      <PieceDrawing item={item} />
      <Fields>
        <NumberField label="Length, mm" value={length} width={96} onChange={(v) => v !== undefined && size([v, width])} />
        <NumberField label="Width, mm" value={width} width={96} onChange={(v) => v !== undefined && size([length, v])} />
        <NumberField
          label="Rolled to, mm"
          value={piece.thicknessMm}
          width={104}
          onChange={(v) => v !== undefined && v > 0 && v <= 60 && onChange({ ...item, piece: { ...piece, thicknessMm: v } })}
        />
      </Fields>
      <Typography variant="h3">How many lie where</Typography>
      <Fields>
        {CARRIERS.filter((carrier) => capacity[carrier] !== undefined).map((carrier) => {
          const isOwn = measured?.[carrier] !== undefined && measured[carrier] !== capacity[carrier];
          return (
            <Box key={carrier}>
              <NumberField
                label={CARRIER_NAME[carrier]}
                value={capacity[carrier]}
                width={128}
                onChange={(v) =>
                  (v === undefined ? measured !== undefined : v >= 1 && v <= MOST_PIECES) &&
                  onChange(setCapacity(item, carrier, v === undefined ? undefined : Math.round(v)))
                }
              />
              {isOwn && <Box sx={{ fontSize: "0.75rem", color: COLOUR.soft }}>yours; {measured[carrier]} by its size</Box>}
            </Box>
          );
        })}
      </Fields>
      {(["piecesPerGuest", "piecesPerGuestAlone"] as const).map((key) => (
        <Box key={key}>
          <Typography variant="h3" sx={{ mb: 1.5 }}>
            {key === "piecesPerGuest" ? "Pieces a head, among others" : "Pieces a head, where there is nothing else"}
          </Typography>
          <Fields>
            {HEADS.map((head) => (
              <NumberField
                key={head.key}
                label={head.name}
                value={item[key][head.key]}
                width={84}
                onChange={(v) =>
                  v !== undefined && v >= 0 && v <= 50 && onChange({ ...item, [key]: { ...item[key], [head.key]: v } })
                }
              />
            ))}
          </Fields>
        </Box>
      ))}
      <Keeping item={item} onChange={onChange} />
    </Paper>
  );
}

const Fields = ({ children }: { children: React.ReactNode }) => (
  <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, rowGap: 1.75, pt: 0.5 }}>{children}</Box>
);

/** How long it keeps, where somebody says so. */
function Keeping({ item, onChange }: Props) {
  const { storage } = item;
  const { fridge, freezer } = storage ?? {};
  if (!fridge && !freezer) return null;
  return (
    <Box>
      <Typography variant="h3" sx={{ mb: 1.5 }}>
        Keeps
      </Typography>
      <Fields>
        {fridge &&
          (["rawHours", "cookedHours"] as const).map((key) => (
            <NumberField
              key={key}
              label={key === "rawHours" ? "Raw, fridge, h" : "Cooked, fridge, h"}
              value={fridge[key]}
              width={128}
              onChange={(v) =>
                v !== undefined &&
                v >= 0 &&
                v <= 2000 &&
                onChange({ ...item, storage: { ...storage, fridge: { ...fridge, [key]: v } } })
              }
            />
          ))}
        {freezer &&
          (["rawMonths", "cookedMonths"] as const).map((key) => (
            <NumberField
              key={key}
              label={key === "rawMonths" ? "Raw, freezer, months" : "Cooked, freezer, months"}
              value={freezer[key]}
              width={172}
              onChange={(v) =>
                v !== undefined &&
                v >= 0 &&
                v <= 36 &&
                onChange({ ...item, storage: { ...storage, freezer: { ...freezer, [key]: v } } })
              }
            />
          ))}
      </Fields>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Usual guidance where nobody said otherwise; local rules come first.
      </Typography>
    </Box>
  );
}
