"use client";
import Box from "@mui/material/Box";
import { useCookedDay } from "./cook-context";
import { Reading } from "./Reading";
import type { Say } from "./say";

/** A thermometer in dough or in a room reads no less and no more, °C. */
const DOUGH = { leastC: 0, mostC: 50 } as const;
const ROOM = { leastC: 0, mostC: 45 } as const;

/** How warm a rise is, or the room that it stands in: what is left of it is worked out anew. */
export function Warmth({ task, say }: { task: string; say: Say }) {
  const { devices, minute } = useCookedDay();
  return (
    <Box component="details" sx={{ mt: 0.5 }}>
      <Box component="summary" sx={{ cursor: "pointer", py: 2 }}>
        How warm is it?
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, mb: 1 }}>
        <Reading
          name="Dough"
          {...DOUGH}
          variant="outlined"
          onRead={(value) => say({ kind: "measured", task, what: "dough", value })}
        />
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
        <Reading
          name="Room"
          {...ROOM}
          variant="outlined"
          read={devices && (() => devices.roomC(minute))}
          onRead={(value) => say({ kind: "measured", what: "room", value })}
        />
      </Box>
    </Box>
  );
}
