"use client";
import Box from "@mui/material/Box";
import Chip from "@mui/material/Chip";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { Item } from "@/core/item/schema";
import { isHeat, type Step } from "@/core/item/step";
import { addTool, canDrop, dropTool, setCore, toolsToAdd } from "@/core/item/step-tools";
import { equipmentWord } from "@/core/kitchen/equipment";
import { celsiusOf, fahrenheitOf } from "@/core/quantities/temperature";
import type { Result } from "@/core/shared/issue";
import { NumberField } from "../kit/NumberField";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";

interface Props {
  readonly item: Item;
  readonly step: Step;
  readonly leastCoreC: number | undefined;
  readonly onTake: (next: Result<Item>) => void;
}

/** What a step takes of the kitchen, and the core at which it is done. */
export function StepTools({ item, step, leastCoreC, onTake }: Props) {
  const { display } = useDisplay();
  const isF = display.heat === "F";
  const shown = step.coreC === undefined ? undefined : Math.round(isF ? fahrenheitOf(step.coreC) : step.coreC);
  const hasCore = isHeat(step) || step.kind === "cook-filling" || step.coreC !== undefined;
  return (
    <Box sx={{ gridColumn: "1 / -1", display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1 }}>
      <Box component="span" sx={{ fontSize: "0.85rem", color: COLOUR.soft }}>
        It takes:
      </Box>
      {step.equipment.map(({ id }) => (
        <Chip
          key={id}
          label={equipmentWord(id)}
          {...(canDrop(step, id) && { onDelete: () => onTake(dropTool(item, step.id, id)) })}
        />
      ))}
      <TextField
        select
        label="And besides"
        value=""
        sx={{ width: 160 }}
        onChange={(event) => onTake(addTool(item, step.id, event.target.value))}
      >
        {toolsToAdd(step).map((id) => (
          <MenuItem key={id} value={id}>
            {equipmentWord(id)}
          </MenuItem>
        ))}
      </TextField>
      {hasCore && (
        <NumberField
          label={`Core, °${display.heat}`}
          value={shown}
          width={110}
          late
          onChange={(value) =>
            onTake(setCore(item, step.id, value === undefined ? undefined : isF ? celsiusOf(value) : value, leastCoreC))
          }
        />
      )}
    </Box>
  );
}
