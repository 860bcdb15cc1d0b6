"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Chip from "@mui/material/Chip";
import { useMemo, useState } from "react";
import { guesses } from "@/core/ingredients/guess";
import { findIngredient } from "@/core/ingredients/find";
import { ownEntry, settleDiet } from "@/core/ingredients/settle";
import { componentClaims, shortName } from "@/core/item/claims";
import { componentsAt, identifyComponent, type Place } from "@/core/item/desk";
import type { Item } from "@/core/item/schema";
import { COLOUR } from "../theme/tokens";
import { useCatalogue } from "./CatalogueProvider";
import { IngredientDialog } from "./IngredientDialog";

interface Props {
  readonly item: Item;
  readonly place: Place;
  readonly index: number;
  readonly onChange: (item: Item) => void;
}

/** Under a line of which it is not known what it is, or who may eat it: the nearest guesses, and one question for good. */
export function WhatIsIt({ item, place, index, onChange }: Props) {
  const component = componentsAt(item, place)[index];
  const { catalogue, keep } = useCatalogue();
  const [open, setOpen] = useState(false);
  const claims = componentClaims(component, catalogue);
  const name = shortName(component.name);
  const near = useMemo(() => {
    if (claims.known) return [];
    const main = findIngredient(component.name, catalogue.index)?.main;
    const found = guesses(name, catalogue.ingredients);
    return main ? [{ id: main.id, name: main.name }, ...found.filter((one) => one.id !== main.id)].slice(0, 3) : found;
  }, [claims.known, component.name, name, catalogue]);
  const asks = claims.known && claims.diets.vegan === "depends" && component.ingredient === undefined;
  if (claims.known && !asks) return null;
  const entry = () => ownEntry(component, catalogue);
  return (
    <Box
      sx={{
        gridColumn: "1 / -1",
        fontSize: "0.82rem",
        color: COLOUR.caution,
        display: "flex",
        gap: 0.75,
        flexWrap: "wrap",
        alignItems: "center",
      }}
    >
      {claims.known ? (
        <>
          <span>Is this {name} vegan?</span>
          <Button size="small" onClick={() => keep(settleDiet(entry(), "vegan", "yes"))}>
            Vegan
          </Button>
          <Button size="small" onClick={() => keep(settleDiet(settleDiet(entry(), "vegetarian", "yes"), "vegan", "no"))}>
            Vegetarian
          </Button>
          <Button size="small" onClick={() => keep(settleDiet(entry(), "vegetarian", "no"))}>
            Neither
          </Button>
          <span>It is kept for good.</span>
        </>
      ) : (
        <>
          <span>Not known what {name} is. Is it</span>
          {near.map((guess) => (
            <Chip
              key={guess.id}
              size="small"
              variant="outlined"
              label={guess.name}
              onClick={() => onChange(identifyComponent(item, place, index, guess.id, catalogue))}
            />
          ))}
          <Button size="small" onClick={() => setOpen(true)}>
            Something else
          </Button>
        </>
      )}
      {open && <IngredientDialog line={component} onClose={() => setOpen(false)} />}
    </Box>
  );
}
