"use client";
import Box from "@mui/material/Box";
import { useState } from "react";
import { restInRoom } from "@/core/item/rest-in-room";
import type { Step } from "@/core/item/step";
import { Curve } from "../kit/Curve";
import { COLOUR } from "../theme/tokens";

/** Rooms that are drawn, °C. */
const ROOMS = [14, 16, 18, 20, 22, 24, 26, 28, 30, 32];

/** When a rest is ready, and when too far, by how warm the room is. */
export function RestByRoom({ rest }: { rest: NonNullable<Step["rest"]> }) {
  const [open, setOpen] = useState(false);
  const by = (which: "readyMin" | "tooFarMin") =>
    ROOMS.map((roomC): [number, number] => [roomC, Math.round(restInRoom(rest, roomC)[which])]);
  const series = [
    { name: "ready", points: by("readyMin") },
    // A limit that nobody's warmth moves would only press the other curve flat.
    ...(rest.yeasted ? [{ name: "too far", points: by("tooFarMin") }] : []),
  ];
  return (
    <Box component="details" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <Box component="summary" sx={{ cursor: "pointer", minHeight: 28, fontSize: "0.875rem", color: COLOUR.soft }}>
        By the room
      </Box>
      {open && (
        <Curve
          chart={{
            title: "When it is ready",
            x: "°C",
            y: "min",
            series,
            ...(rest.where === "room" && { lines: [{ x: rest.atC, label: "as it stands" }] }),
          }}
        />
      )}
    </Box>
  );
}
