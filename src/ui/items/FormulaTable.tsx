"use client";
import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import Typography from "@mui/material/Typography";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import SwapHoriz from "@mui/icons-material/SwapHorizOutlined";
import InfoOutlined from "@mui/icons-material/InfoOutlined";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import {
  changeComponent,
  componentsAt,
  removeComponent,
  renameComponent,
  setGrams,
  setPercent,
  type Place,
} from "@/core/item/desk";
import { applySwap, swapsFor } from "@/core/item/swaps";
import { swapText } from "@/core/item/swaps-text";
import { settleUsed } from "@/core/item/by-feel";
import { isWeighed } from "@/core/item/recipe";
import { readLine } from "@/core/ingredients/read-line";
import type { Component, Item } from "@/core/item/schema";
import { householdText } from "@/core/ingredients/household";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { IngredientDialog } from "../ingredients/IngredientDialog";
import { WhatIsIt } from "../ingredients/WhatIsIt";
import type { System } from "@/core/quantities/unit-table";
import { issueText } from "@/core/shared/issue-text";
import type { Result } from "@/core/shared/issue";
import { useState, type ReactNode } from "react";
import Button from "@mui/material/Button";
import { NumberField } from "../kit/NumberField";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";
import { TextCell } from "./TextCell";

interface Props {
  readonly item: Item;
  readonly place: Place;
  readonly title: string;
  /** Stands in the place of the title where that can be changed. */
  readonly heading?: ReactNode;
  /** Baker's percentage of each component; none for a filling. */
  readonly pct?: readonly number[];
  /** Lost of what is cooked, %, where a line says nothing else. */
  readonly lossPct?: number;
  readonly system: System;
  readonly onChange: (item: Item) => void;
  /** Sentence for a cell whose value was refused, by row and column. */
  readonly refused: { readonly key: string; readonly text: string } | undefined;
  readonly onRefused: (refused: { key: string; text: string } | undefined) => void;
}

const one = (value: number): number => Math.round(value * 10) / 10;

/** Grams, baker's percentages and household measures side by side: type in any of them and the others follow. */
export function FormulaTable({ item, place, title, heading, pct, lossPct, system, onChange, refused, onRefused }: Props) {
  const components = componentsAt(item, place);
  const { catalogue } = useCatalogue();
  const [about, setAbout] = useState<Component | undefined>(undefined);
  const take = (key: string, result: Result<Item>, name: string) => {
    if (result.ok) onChange(result.value);
    onRefused(result.ok ? undefined : { key, text: issueText(result.issues[0], name) });
  };
  const columns = pct
    ? "minmax(120px, 1.5fr) 96px 84px minmax(110px, 1fr) 96px"
    : "minmax(120px, 1.5fr) 96px minmax(100px, 1fr) 204px";
  // On a phone the name has a line of its own.
  const grid = { xs: pct ? "80px 66px minmax(0, 1fr) 92px" : "80px minmax(0, 1fr) 200px", sm: columns };
  const keyOf = (i: number, column: string) => `${title}-${i}-${column}`;
  const errorOf = (i: number, column: string) => (refused?.key === keyOf(i, column) ? refused.text : undefined);
  return (
    <Box role="group" aria-label={title} sx={{ mb: 2 }}>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: grid,
          gap: 1,
          alignItems: "end",
          pb: 0.5,
          fontSize: "0.75rem",
          color: COLOUR.soft,
        }}
      >
        <Box sx={{ gridColumn: { xs: "1 / -1", sm: "auto" } }}>
          {heading ?? (
            <Typography variant="h3" sx={{ color: COLOUR.ink }}>
              {title}
            </Typography>
          )}
        </Box>
        <Box sx={{ textAlign: "right" }}>grams</Box>
        {pct && <Box sx={{ textAlign: "right" }}>% of flour</Box>}
        <Box>cups and spoons</Box>
        <span />
      </Box>
      {components.map((component, i) => (
        <Box
          key={component.id}
          role="group"
          aria-label={component.name}
          sx={{
            display: "grid",
            gridTemplateColumns: grid,
            gap: 1,
            alignItems: "start",
            py: 0.4,
            borderTop: `1px solid ${COLOUR.line}`,
          }}
        >
          <Box sx={{ gridColumn: { xs: "1 / -1", sm: "auto" } }}>
            <TextCell
              label={`Ingredient ${i + 1} of ${title}`}
              value={component.name}
              bold={component.flour}
              onType={(text) => {
                if (text.trim() === "") return "a name is needed";
                onChange(renameComponent(item, place, i, text, catalogue));
                return undefined;
              }}
            />
          </Box>
          <NumberField
            label={`Grams of ${component.name}`}
            value={one(component.grams)}
            onChange={(value) => take(keyOf(i, "grams"), setGrams(item, place, i, value ?? NaN), "grams")}
            error={errorOf(i, "grams")}
            width={96}
            quiet
          />
          {pct && place.in === "dough" && (
            <NumberField
              label={`Percent of ${component.name}`}
              value={one(pct[i])}
              onChange={(value) => take(keyOf(i, "pct"), setPercent(item, place.part, i, value ?? NaN), "percent")}
              error={errorOf(i, "pct")}
              width={84}
              quiet
            />
          )}
          <TextCell
            label={`Measure of ${component.name}`}
            value={component.measure ?? householdText(component, component.grams, system, catalogue) ?? ""}
            placeholder="no density known"
            onType={(text) => {
              const read = readLine(`${text} ${component.name}`, system, catalogue.index);
              if (!isWeighed(read)) return "cannot be weighed; type grams";
              const next = setGrams(item, place, i, read.grams);
              if (!next.ok) return issueText(next.issues[0], "the measure");
              onChange(changeComponent({ ...next.value, measures: system }, place, i, (c) => ({ ...c, measure: text })));
              return undefined;
            }}
          />
          <Box sx={{ display: "flex", justifyContent: "flex-end" }}>
            {place.in === "filling" && component.cook && (
              <NumberField
                label={`Lost of ${component.name} over heat, %`}
                value={component.lossPct}
                placeholder={`−${lossPct ?? item.filling.cookingLossPct} %`}
                onChange={(lost) =>
                  (lost === undefined || (lost > -900 && lost < 96)) &&
                  onChange(changeComponent(item, place, i, (c) => ({ ...c, lossPct: lost })))
                }
                width={66}
                quiet
              />
            )}
            {place.in === "filling" && (
              <Button
                size="small"
                aria-pressed={component.cook === true}
                aria-label={`${component.name}: ${component.cook ? "cooked with the rest" : "added off the heat"}`}
                title={component.cook ? "cooked with the rest" : "added off the heat"}
                sx={{ minWidth: 0, px: 0.5, fontSize: "0.75rem" }}
                onClick={() => onChange(changeComponent(item, place, i, (c) => ({ ...c, cook: !c.cook })))}
              >
                {component.cook ? "pan" : "after"}
              </Button>
            )}
            <IconButton aria-label={`What is known of ${component.name}`} size="small" onClick={() => setAbout(component)}>
              <InfoOutlined fontSize="small" />
            </IconButton>
            <Instead item={item} place={place} index={i} onChange={onChange} />
            <IconButton
              aria-label={`Remove ${component.name}`}
              size="small"
              onClick={() => onChange(removeComponent(item, place, i))}
            >
              <DeleteOutline fontSize="small" />
            </IconButton>
          </Box>
          <WhatIsIt item={item} place={place} index={i} onChange={onChange} />
          {component.lastUsed && (
            <Box sx={{ gridColumn: "1 / -1", fontSize: "0.82rem", color: COLOUR.tide }}>
              By feel it took {one(component.lastUsed.grams)} g the last time with {component.lastUsed.flour}; that is planned
              while the flour is the same.
              <Button size="small" onClick={() => onChange(settleUsed(item, component.id, true))}>
                Make it the recipe
              </Button>
              <Button size="small" onClick={() => onChange(settleUsed(item, component.id, false))}>
                Forget it
              </Button>
            </Box>
          )}
        </Box>
      ))}
      {about && <IngredientDialog line={about} onClose={() => setAbout(undefined)} />}
    </Box>
  );
}

/** What could stand in for a line, with what it does; nothing is shown where no exchange is known. */
function Instead({ item, place, index, onChange }: Pick<Props, "item" | "place" | "onChange"> & { index: number }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const { name } = componentsAt(item, place)[index];
  const { fine: weight } = useDisplay();
  const { catalogue } = useCatalogue();
  const swaps = swapsFor(item, place, index, catalogue);
  if (swaps.length === 0) return null;
  return (
    <>
      <IconButton aria-label={`Use something else instead of ${name}`} size="small" onClick={(e) => setAt(e.currentTarget)}>
        <SwapHoriz fontSize="small" />
      </IconButton>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        {swaps.map((swap) => (
          <MenuItem
            key={swap.id}
            sx={{ display: "block", maxWidth: 440, whiteSpace: "normal" }}
            onClick={() => {
              setAt(null);
              onChange(applySwap(item, place, index, swap));
            }}
          >
            <Box sx={{ fontWeight: 600 }}>{swap.lines.map((line) => `${one(line.grams)} g ${line.name}`).join(" + ")}</Box>
            {swap.also.length > 0 && (
              <Box sx={{ fontSize: "0.85rem" }}>
                {swap.also.map((a) => `${one(Math.abs(a.grams))} g ${a.grams < 0 ? "less" : "more"} ${a.name}`).join(", ")}
              </Box>
            )}
            <Box sx={{ fontSize: "0.85rem", color: COLOUR.soft }}>{swapText(swap, weight)}</Box>
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
