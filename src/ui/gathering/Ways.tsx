"use client";
import Box from "@mui/material/Box";
import { optionsOf } from "@/core/item/resolve";
import type { Item } from "@/core/item/schema";
import { COLOUR } from "../theme/tokens";

/** The ways in which an item can be made, each a choice that changes steps, weights or who may eat it. */
export function Ways({
  item,
  choices,
  name = item.name,
  onChoose,
}: {
  item: Item;
  /** What the choices are for, as it is read out. */
  name?: string;
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
          aria-label={`${name}: ${school.question || school.id}`}
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
