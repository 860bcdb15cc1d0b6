"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import Link from "next/link";
import { useRouter } from "next/navigation";
import type { ReactNode } from "react";
import type { Result } from "@/core/shared/issue";
import { Monogram } from "../kit/Monogram";
import { TopBar } from "../kit/TopBar";
import { useAttempt } from "../kit/use-attempt";
import { Unreadable, type UnreadableRow } from "../kit/Unreadable";
import { ShapeStage } from "../kit/ShapeStages";
import { COLOUR, toneOf } from "../theme/tokens";
import { ImportItem, type ImportProps } from "./ImportItem";
import type { ItemCardModel } from "./items.view-model";

interface Props extends ImportProps {
  readonly cards: readonly ItemCardModel[];
  /** How many there are on all pages. */
  readonly count: number;
  readonly away: readonly { readonly id: string; readonly name: string }[];
  readonly unreadable: readonly UnreadableRow[];
  readonly archive: (id: string, away: boolean) => Promise<Result<{ id: string }>>;
  /** Below the cards: the other pages. */
  readonly children: ReactNode;
}

/** What this cook can make, with what a piece is and what a batch takes. */
export function ItemsList({ cards, count, away, unreadable, archive, taken, create, known, keep, children }: Props) {
  const router = useRouter();
  const { attempt, told } = useAttempt();
  return (
    <>
      <TopBar />
      <Box component="main" sx={{ px: { xs: 2, md: 4 }, py: 3 }}>
        <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap", mb: 2 }}>
          <Typography variant="h1">Items</Typography>
          <Typography color="text.secondary">
            {count} kinds of piece, each with its formula, steps and ways of doing it
          </Typography>
          <Button component={Link} href="/items/new" variant="contained" sx={{ ml: "auto" }}>
            Type in a recipe
          </Button>
          <ImportItem taken={taken} create={create} known={known} keep={keep} />
        </Box>
        {told}
        <Unreadable rows={unreadable} kind="item" />
        <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(300px, 1fr))", gap: 2 }}>
          {cards.map((card, i) => (
            <Paper
              key={card.id}
              component={Link}
              href={`/items/${card.id}`}
              sx={{ p: 2, textDecoration: "none", color: "inherit", "&:hover, &:focus-visible": { borderColor: COLOUR.tide } }}
            >
              <Box sx={{ display: "flex", gap: 1.25, alignItems: "center", mb: 0.75 }}>
                <Monogram name={card.name} tone={toneOf(i)} />
                <Typography variant="h2" sx={{ flex: 1, minWidth: 0 }}>
                  {card.name}
                </Typography>
                {card.picture && <ShapeStage {...card.picture} size={56} />}
              </Box>
              <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
                {card.line}
              </Typography>
              <Box sx={{ fontSize: "0.85rem" }}>{card.piece}</Box>
              <Box sx={{ fontSize: "0.85rem", color: COLOUR.soft }}>{card.hands}</Box>
              <Box sx={{ fontSize: "0.85rem", color: COLOUR.soft }}>
                {card.provisional && <strong>Provisional · </strong>}
                {card.contains}
              </Box>
            </Paper>
          ))}
        </Box>
        {children}
        {away.length > 0 && (
          <Box component="section" aria-label="Put away" sx={{ mt: 4 }}>
            <Typography variant="h2" gutterBottom>
              Put away
            </Typography>
            {away.map((card) => (
              <Box
                key={card.id}
                sx={{ display: "flex", alignItems: "center", gap: 2, py: 0.75, borderTop: `1px solid ${COLOUR.line}` }}
              >
                <Link href={`/items/${card.id}`}>{card.name}</Link>
                <Button
                  size="small"
                  onClick={() =>
                    attempt(
                      `Bringing back ${card.name}`,
                      () => archive(card.id, false),
                      () => router.refresh(),
                    )
                  }
                >
                  Bring back
                </Button>
              </Box>
            ))}
          </Box>
        )}
      </Box>
    </>
  );
}
