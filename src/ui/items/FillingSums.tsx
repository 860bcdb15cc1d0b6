"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { addComponent } from "@/core/item/desk";
import type { Item } from "@/core/item/schema";
import { bindable, binders, isRaw, saltBudget, saltSources, spoonGrams, thicken, type Binder } from "@/core/item/seasoning";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { NumberField } from "../kit/NumberField";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";
import { Ask, positive, Sum, tenth } from "./SumKit";

/** Binding, salting and measuring the filling; what is found can go into it. */
export function FillingSums({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const { catalogue } = useCatalogue();
  const { components } = item.filling;
  const raw = components.reduce((total, c) => total + c.grams, 0);
  const { weight, display } = useDisplay();
  const [liquid, setLiquid] = useState<number | undefined>(Math.round(bindable(components, catalogue)) || undefined);
  const [rate, setRate] = useState<number | undefined>(4);
  const [saltPct, setSaltPct] = useState<number | undefined>(1.2);
  const density = item.filling.gPerMl ?? 1.05;
  const [binder, setBinder] = useState<Binder["id"]>("slurry");
  const bind = positive(liquid, rate) ? thicken(liquid!, rate!) : undefined;
  const { carried, addedG, unknown } = saltSources(components, catalogue);
  const salt = positive(saltPct, raw) ? saltBudget(raw, saltPct!, carried) : undefined;
  const spoon = spoonGrams(density);
  const neverTasted =
    isRaw(components, catalogue) ||
    (isRaw(
      components.map((c) => ({ ...c, cook: false })),
      catalogue,
    ) &&
      !item.steps.some((step) => step.kind === "cook-filling"));
  const chosen = bind && binders(liquid!, rate!).find(({ id }) => id === binder)!;
  const setChild = (edit: Partial<NonNullable<Item["child"]>>) => {
    const next = { heat: USUAL_HEAT, ...item.child, ...edit };
    if (next.heat === undefined || (next.heat >= 0 && next.heat <= 1))
      onChange({ ...item, child: { ...next, heat: next.heat ?? USUAL_HEAT } });
  };
  return (
    <>
      <Sum
        title="To bind what runs"
        fields={
          <>
            <NumberField label="Liquid, g" value={liquid} onChange={setLiquid} width={110} />
            <NumberField label="Starch, % of it" value={rate} onChange={setRate} width={120} />
          </>
        }
      >
        {bind ? (
          <>
            <strong>{tenth(bind.starchG)} g of starch</strong> stirred into {tenth(bind.slurryWaterG)} g of cold water, or{" "}
            <strong>{tenth(bind.flourG)} g of flour</strong>. Stir it up again, add it in three goes of {tenth(bind.thirdsG)} g,
            and boil until it is clear. Still runs when cold? {tenth(liquid! / 100)} g more and test again.
            <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center", mt: 1 }}>
              <TextField
                select
                value={binder}
                onChange={(e) => setBinder(e.target.value as Binder["id"])}
                slotProps={{ htmlInput: { "aria-label": "Bind it with" } }}
                sx={{ width: 190 }}
              >
                {binders(liquid!, rate!).map(({ id }) => (
                  <MenuItem key={id} value={id}>
                    {BINDER_TEXT[id].name}
                  </MenuItem>
                ))}
              </TextField>
              <Button
                size="small"
                variant="outlined"
                onClick={() =>
                  onChange(
                    chosen!.lines.reduce(
                      (now, line) => addComponent(now, { in: "filling" }, line.name, tenth(line.grams), undefined, catalogue),
                      item,
                    ),
                  )
                }
              >
                Put {chosen!.lines.map((line) => `${tenth(line.grams)} g ${line.name.split(",")[0]}`).join(" and ")} in the
                filling
              </Button>
              <Typography variant="caption">{BINDER_TEXT[binder].how}</Typography>
            </Box>
          </>
        ) : (
          <Ask />
        )}
      </Sum>
      <Sum
        title={`Salt for ${weight(raw)} of filling`}
        fields={<NumberField label="Salt, % in all" value={saltPct} onChange={setSaltPct} width={120} />}
      >
        {salt ? (
          <>
            {tenth(salt.wantedG)} g in all
            {carried.length > 0 && (
              <>
                , {tenth(salt.carriedG)} g of it is in {carried.map((c) => c.name.split(",")[0]).join(", ")} already
              </>
            )}
            : <strong>{tenth(salt.firstG)} g now</strong>, the other {tenth(salt.leftG - salt.firstG)} g after tasting. The
            formula has {tenth(addedG)} g of salt by itself.
            {unknown.length > 0 && <Box>Not counted, since their salt is not known: {unknown.join(", ")}.</Box>}
            {neverTasted && (
              <Box sx={{ color: COLOUR.caution }}>! Raw meat, fish and egg are never tasted: fry a spoonful first.</Box>
            )}
          </>
        ) : (
          <Ask />
        )}
      </Sum>
      <Sum
        title="A spoon of this filling"
        fields={
          <NumberField
            label="g in 1 ml"
            value={density}
            onChange={(v) =>
              v !== undefined && v >= 0.2 && v <= 2 && onChange({ ...item, filling: { ...item.filling, gPerMl: v } })
            }
            width={100}
          />
        }
      >
        A level tablespoon (15 ml) is <strong>{tenth(spoon.levelG)} g</strong>, a rounded one {tenth(spoon.roundedG)} g
        {item.piece.fillingG > 0 && <>: a piece takes {tenth(item.piece.fillingG / spoon.levelG)} level</>}.
        {display.system === "au" && " Your own tablespoon is 20 ml."}
      </Sum>
      <Sum
        title="For children"
        fields={
          <>
            <NumberField
              label="Heat, part of it"
              value={item.child?.heat}
              placeholder="0.4"
              onChange={(heat) => setChild({ heat })}
              width={120}
            />
            <NumberField
              label="Filling a piece, g"
              value={item.child?.fillingG}
              placeholder={String(item.piece.fillingG)}
              onChange={(fillingG) => setChild({ fillingG })}
              width={130}
            />
            <TextField
              label="How theirs are told apart"
              value={item.child?.mark ?? ""}
              placeholder="close theirs another way"
              onChange={(e) => setChild({ mark: e.target.value.slice(0, 120) || undefined })}
              slotProps={{ inputLabel: { shrink: true } }}
            />
          </>
        }
      >
        Where children come and the filling has chilli, its sheet says how much to set aside and how much heat goes into each
        part.
      </Sum>
    </>
  );
}

/** Heat for children against the others'. */
const USUAL_HEAT = 0.4;

const BINDER_TEXT: Readonly<Record<Binder["id"], { readonly name: string; readonly how: string }>> = {
  slurry: { name: "starch, stirred in cold", how: "stir it up again before each third; boil until clear" },
  roux: { name: "flour, as a roux", how: "cook the fat and flour first, then the liquid in little by little" },
  paste: { name: "flour, as a paste", how: "knead fat and flour cold, drop it in last, boil 2 min" },
  egg: { name: "egg", how: "off the heat; it sets in the piece, to 71 °C or what your authority says" },
  gelatin: { name: "gelatin", how: "soak, melt, and set it 8 h in the fridge before filling" },
};
