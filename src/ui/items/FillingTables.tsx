"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import type { ComponentProps } from "react";
import type { Reading } from "@/core/ingredients/read-line";
import type { Place } from "@/core/item/desk";
import { addFilling, fillingsOfItem, removeFilling, renameFilling } from "@/core/item/more-fillings";
import type { Item } from "@/core/item/schema";
import { piecesText } from "@/core/plan/task-text";
import { down } from "@/core/shared/rounding";
import { AddLines } from "./AddLines";
import { FormulaTable } from "./FormulaTable";
import { TextCell } from "./TextCell";

interface Props extends Omit<ComponentProps<typeof FormulaTable>, "place" | "title" | "pct"> {
  readonly withReadings: (item: Item, place: Place & { in: "filling" }, readings: readonly Reading[]) => Item;
}

/** Every filling of an item with its lines, and the way to one more. */
export function FillingTables({ withReadings, ...table }: Props) {
  const { item, system, onChange } = table;
  const fillings = fillingsOfItem(item);
  const { fillingG } = item.piece;
  return (
    <Box sx={{ mt: 2.5 }}>
      {fillings.map(({ id, name, rawG, usableG, cookingLossPct }) => (
        <Box key={id ?? "first"} sx={{ mb: 1.5 }}>
          <FormulaTable
            {...table}
            place={{ in: "filling", of: id }}
            title={name}
            lossPct={cookingLossPct}
            {...(fillings.length > 1 && {
              heading: (
                <TextCell
                  label={`Name of the filling ${name}`}
                  value={name}
                  bold
                  onType={(text) => {
                    if (text.trim() === "") return "a name is needed";
                    onChange(renameFilling(item, id, text));
                    return undefined;
                  }}
                />
              ),
            })}
          />
          <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
            {Math.round(rawG)} g raw, {Math.round(usableG)} g when it is cooked ({cookingLossPct} % lost in the pan) and spooned
            {fillings.length > 1 && fillingG > 0 ? `, enough for ${piecesText(down(usableG / fillingG))}` : ""}
          </Typography>
          <AddLines
            label={fillings.length > 1 ? `Add to ${name}` : "Add to the filling"}
            system={system}
            onAdd={(readings) => onChange(withReadings(item, { in: "filling", of: id }, readings))}
            open={rawG === 0}
          />
          {id !== undefined && (
            <Button size="small" onClick={() => onChange(removeFilling(item, id))}>
              Take this filling out
            </Button>
          )}
        </Box>
      ))}
      <AddLines
        label="Another filling beside it"
        system={system}
        named
        onAdd={(readings, name) => {
          const more = addFilling(item, name, []);
          const added = more.filling.variants!.at(-1)!;
          onChange(withReadings(more, { in: "filling", of: added.id }, readings));
        }}
      />
    </Box>
  );
}
