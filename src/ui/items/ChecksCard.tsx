"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { biteOf, doughProtein, itemChecks } from "@/core/item/checks";
import { BITE_TEXT, checkText, proposalText } from "@/core/item/checks-text";
import { proposalFor } from "@/core/item/proposals";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { isProvisional } from "@/core/item/gaps";
import { deskTotals } from "@/core/item/desk";
import { fatRatioText } from "@/core/ingredients/exchange";
import type { Item } from "@/core/item/schema";
import { Banner } from "../kit/Banner";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";

/** What a practised eye would say of this formula: doubts, gaps, bite, richness, and how strong the flour is. */
export function ChecksCard({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const { fine: weight, degrees } = useDisplay();
  const shown = { weight, degrees };
  const { catalogue } = useCatalogue();
  const checks = itemChecks(item, catalogue);
  const totals = deskTotals(item, catalogue);
  const protein = doughProtein(item, catalogue);
  const facts = [
    protein !== undefined && ["flour", `${protein.toFixed(1)} % protein: ${BITE_TEXT[biteOf(protein)]}`],
    totals.fatPct > 0 && ["richness", fatRatioText((totals.fatPct * totals.flourG) / 100, totals.flourG)],
  ].filter((fact): fact is [string, string] => Array.isArray(fact));
  return (
    <Paper component="section" aria-label="A second look" sx={{ p: 2, display: "grid", gap: 1 }}>
      <Typography variant="h2">A second look</Typography>
      {checks.map((check) => (
        <Banner key={JSON.stringify(check)} kind={check.kind === "doubt" ? "caution" : "note"}>
          {checkText(check, shown)}
          {proposalFor(item, check) && (
            <Button size="small" sx={{ ml: 1 }} onClick={() => onChange(proposalFor(item, check)!)}>
              {proposalText(check, shown)}
            </Button>
          )}
        </Banner>
      ))}
      {checks.length === 0 && (
        <Typography sx={isProvisional(item) ? {} : { color: COLOUR.fits, fontWeight: 600 }}>
          {isProvisional(item)
            ? "What is there looks right; something is still to be said."
            : "Nothing looks like a slip of the pen."}
        </Typography>
      )}
      <Box
        component="dl"
        sx={{
          display: "grid",
          gridTemplateColumns: "72px 1fr",
          m: 0,
          rowGap: 0.5,
          fontSize: "0.85rem",
          "& dd": { m: 0 },
          "& dt": { color: COLOUR.soft },
        }}
      >
        {facts.map(([name, text]) => [<dt key={`${name}-t`}>{name}</dt>, <dd key={`${name}-d`}>{text}</dd>])}
      </Box>
    </Paper>
  );
}
