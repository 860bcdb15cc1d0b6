"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import type { Kitchen } from "@/core/kitchen/schema";
import { ClockField } from "../kit/ClockField";
import { NumberField } from "../kit/NumberField";
import { RoomCurve } from "./RoomCurve";

type Band = Kitchen["roomC"][number];

/** Days that many kitchens have, to begin from. */
const USUAL: readonly { readonly name: string; readonly roomC: readonly Band[] }[] = [
  { name: "The same all day", roomC: [{ from: "00:00", to: "24:00", c: 21 }] },
  {
    name: "A winter day",
    roomC: [
      { from: "00:00", to: "07:00", c: 17 },
      { from: "07:00", to: "16:00", c: 20 },
      { from: "16:00", to: "24:00", c: 21 },
    ],
  },
  {
    name: "A summer night",
    roomC: [
      { from: "00:00", to: "06:00", c: 25 },
      { from: "06:00", to: "12:00", c: 24 },
      { from: "12:00", to: "20:00", c: 30 },
      { from: "20:00", to: "24:00", c: 27 },
    ],
  },
  {
    name: "A summer day",
    roomC: [
      { from: "00:00", to: "08:00", c: 22 },
      { from: "08:00", to: "14:00", c: 25 },
      { from: "14:00", to: "22:00", c: 28 },
      { from: "22:00", to: "24:00", c: 25 },
    ],
  },
];

/** How warm the room is: dough rises by it. */
export function RoomCard({ kitchen, change }: { kitchen: Kitchen; change: (edit: (kitchen: Kitchen) => Kitchen) => void }) {
  const set = (roomC: readonly Band[]) => change((k) => ({ ...k, roomC: [...roomC] }));
  const { roomC } = kitchen;
  const temperatures = roomC.map(({ c }) => c).filter((c) => Number.isFinite(c));
  return (
    <Paper component="section" aria-label="How warm it is" sx={{ p: 2, display: "grid", gap: 1.25 }}>
      <Typography variant="h2">How warm it is</Typography>
      <Box sx={{ fontWeight: 600 }}>
        {temperatures.length > 0 && `${Math.min(...temperatures)} to ${Math.max(...temperatures)} °C: dough rises by it`}
      </Box>
      <RoomCurve roomC={roomC} onChange={set} />
      {roomC.map((band, b) => {
        const setOne = (edit: Partial<Band>) => set(roomC.map((one, i) => (i === b ? { ...one, ...edit } : one)));
        return (
          <Box key={b} sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
            <ClockField name={`Room ${b + 1}: from`} value={band.from} onChange={(from) => setOne({ from })} />
            to
            <ClockField name={`Room ${b + 1}: to`} value={band.to} onChange={(to) => setOne({ to })} />
            <NumberField quiet label={`Room ${b + 1}, °C`} value={band.c} onChange={(c) => setOne({ c: c ?? NaN })} width={72} />
            °C
            {roomC.length > 1 && (
              <IconButton aria-label={`Remove room ${b + 1}`} onClick={() => set(roomC.filter((_, i) => i !== b))}>
                <DeleteOutline />
              </IconButton>
            )}
          </Box>
        );
      })}
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        {USUAL.map(({ name, roomC: usual }) => (
          <Button key={name} size="small" variant="outlined" onClick={() => set(usual)}>
            {name}
          </Button>
        ))}
      </Box>
    </Paper>
  );
}
