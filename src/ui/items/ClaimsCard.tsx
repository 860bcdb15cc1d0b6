"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { ALLERGENS, type Allergen } from "@/core/ingredients/allergen";
import { DIETS } from "@/core/ingredients/kinds";
import { itemClaims } from "@/core/item/item-claims";
import { allergenText, claimCautions, dietText, HAZARD_TEXT, mayText } from "@/core/item/claims-text";
import type { Choices, Item } from "@/core/item/schema";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { COLOUR } from "../theme/tokens";

const SIGN = { yes: "✓", no: "✕", depends: "?" } as const;
const TONE = { yes: COLOUR.fits, no: COLOUR.soft, depends: COLOUR.caution } as const;

/** Who may eat it and what is in it, as it follows from its lines, its options and its oil; and what the cook knows beyond them. */
export function ClaimsCard({ item, choices, onChange }: { item: Item; choices: Choices; onChange: (item: Item) => void }) {
  const { catalogue } = useCatalogue();
  const claims = itemClaims(item, choices, catalogue);
  const may = mayText(claims);
  const added = item.alsoContains ?? [];
  const taken = item.without ?? [];
  return (
    <Paper component="section" aria-label="What is in it" sx={{ p: 2, display: "grid", gap: 1 }}>
      <Typography variant="h2">What is in it</Typography>
      <Box component="ul" aria-label="Diets" sx={{ m: 0, p: 0, listStyle: "none", fontSize: "0.88rem" }}>
        {DIETS.map((diet) => {
          const claim = claims.diets[diet];
          return (
            <Box
              component="li"
              key={diet}
              sx={{ display: "flex", gap: 0.75, color: claim.answer === "no" ? COLOUR.soft : COLOUR.ink }}
            >
              <Box component="span" aria-hidden sx={{ width: 14, fontWeight: 700, color: TONE[claim.answer] }}>
                {SIGN[claim.answer]}
              </Box>
              <span>{dietText(diet, claim)}</span>
            </Box>
          );
        })}
      </Box>
      <Box aria-label="Allergens" role="list" sx={{ fontSize: "0.88rem" }}>
        {claims.contains.map((claim) => (
          <Box key={claim.allergen} role="listitem">
            <strong>{allergenText(claim)}</strong>
            <Box component="span" sx={{ color: COLOUR.soft }}>
              {" "}
              {claim.from.join(", ")}
            </Box>
          </Box>
        ))}
        {claims.contains.length === 0 && claims.unknown.length === 0 && <div>No listed allergen is known in it.</div>}
        {claims.unknown.length > 0 && (
          <Box sx={{ color: COLOUR.caution }}>
            Not known: {claims.unknown.join(", ")}. Until it is, nobody with a diet or an allergy is counted for it.
          </Box>
        )}
        {may && <Box sx={{ color: COLOUR.soft, mt: 0.5 }}>{may[0].toUpperCase() + may.slice(1)}: labels decide.</Box>}
      </Box>
      {claims.hazard && claims.hazard !== "vegetable" && (
        <Typography variant="body2">To be heated through for {HAZARD_TEXT[claims.hazard]}; local rules come first.</Typography>
      )}
      {claimCautions(claims).map((text) => (
        <Typography key={text} variant="body2" color="text.secondary">
          {text}
        </Typography>
      ))}
      {added.map(({ allergen, note }) => (
        <Said
          key={allergen}
          text={`${allergen}: ${note ?? "added by you"}`}
          back="Take it back"
          onBack={() =>
            onChange(
              withAdded(
                item,
                added.filter((one) => one.allergen !== allergen),
              ),
            )
          }
        />
      ))}
      {taken.map(({ allergen, why, of }) => (
        <Said
          key={allergen}
          text={`no ${allergen} in ${of.join(", ")}: ${why}`}
          back="It is in it"
          onBack={() =>
            onChange(
              withTaken(
                item,
                taken.filter((one) => one.allergen !== allergen),
              ),
            )
          }
        />
      ))}
      <ByHand
        inIt={claims.contains.map(({ allergen }) => allergen)}
        onAdd={(allergen) => onChange(withAdded(item, [...added, { allergen }]))}
        onTake={(allergen, why) => {
          const of = claims.contains.find((claim) => claim.allergen === allergen)?.from ?? [];
          const rest = taken.filter((one) => one.allergen !== allergen);
          onChange(withTaken(item, [...rest, { allergen, why, of: [...of] }]));
        }}
      />
      <Typography variant="caption" color="text.secondary">
        It follows from the words of the recipe. Labels say more, and local rules come first.
      </Typography>
    </Paper>
  );
}

/** What the cook said by hand, and how to take it back. */
const Said = ({ text, back, onBack }: { text: string; back: string; onBack: () => void }) => (
  <Box sx={{ display: "flex", alignItems: "center", fontSize: "0.85rem" }}>
    <span>{text}</span>
    <Button size="small" sx={{ ml: "auto" }} onClick={onBack}>
      {back}
    </Button>
  </Box>
);

const withAdded = (item: Item, list: NonNullable<Item["alsoContains"]>): Item => ({
  ...item,
  alsoContains: list.length > 0 ? list : undefined,
});
const withTaken = (item: Item, list: NonNullable<Item["without"]>): Item => ({
  ...item,
  without: list.length > 0 ? list : undefined,
});

/** The shortest reason that says anything. */
const LEAST_REASON = 3;

/** An allergen added by hand, or one taken away with the reason. */
function ByHand({
  inIt,
  onAdd,
  onTake,
}: {
  inIt: readonly Allergen[];
  onAdd: (allergen: Allergen) => void;
  onTake: (allergen: Allergen, why: string) => void;
}) {
  const [allergen, setAllergen] = useState<Allergen | "">("");
  const [why, setWhy] = useState("");
  const there = allergen !== "" && inIt.includes(allergen);
  const done = () => {
    setAllergen("");
    setWhy("");
  };
  return (
    <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
      <TextField
        select
        value={allergen}
        onChange={(e) => setAllergen(e.target.value as Allergen)}
        slotProps={{ htmlInput: { "aria-label": "An allergen that you know better" }, select: { displayEmpty: true } }}
        sx={{ width: 180 }}
      >
        <MenuItem value="">I know better …</MenuItem>
        {ALLERGENS.map((one) => (
          <MenuItem key={one} value={one}>
            {inIt.includes(one) ? `no ${one} in it` : `${one} is in it`}
          </MenuItem>
        ))}
      </TextField>
      {there && (
        <TextField
          value={why}
          onChange={(e) => setWhy(e.target.value)}
          placeholder="Why is it not in it?"
          slotProps={{ htmlInput: { "aria-label": `Why there is no ${allergen} in it` } }}
          sx={{ flex: "1 1 140px" }}
        />
      )}
      {allergen !== "" && (
        <Button
          size="small"
          variant="outlined"
          disabled={there && why.trim().length < LEAST_REASON}
          onClick={() => {
            if (there) onTake(allergen, why.trim());
            else onAdd(allergen);
            done();
          }}
        >
          {there ? "Take it away" : "Add it"}
        </Button>
      )}
    </Box>
  );
}
