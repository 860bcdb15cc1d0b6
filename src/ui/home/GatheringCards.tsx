"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import Link from "next/link";
import { COLOUR } from "../theme/tokens";

export interface GatheringCard {
  readonly id: string;
  readonly name: string;
  readonly line: string;
  /** "Sat 28 Nov" */
  readonly day: string;
  /** "in 3 days" */
  readonly away: string;
  readonly forWhom: string;
  /** When hands must begin, or that nothing is planned yet. */
  readonly begins: string;
}

/** The cook's gatherings as a column of cards, the nearest first. */
export function GatheringCards({ cards }: { cards: readonly GatheringCard[] }) {
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      {cards.map((card) => (
        <Paper
          key={card.id}
          component={Link}
          href={`/g/${encodeURIComponent(card.id)}`}
          sx={{
            p: 2.5,
            textDecoration: "none",
            color: "inherit",
            display: "grid",
            gridTemplateColumns: { xs: "1fr", sm: "120px 1fr auto" },
            gap: 2,
            "&:hover, &:focus-visible": { borderColor: COLOUR.tide },
          }}
        >
          <Box>
            <Typography sx={{ fontWeight: 650, color: COLOUR.tide }}>{card.day}</Typography>
            <Typography variant="caption">{card.away}</Typography>
          </Box>
          <Box>
            <Typography variant="h2" component="h2">
              {card.name}
            </Typography>
            <Typography variant="body2" color="text.secondary">
              {card.line}
            </Typography>
          </Box>
          <Box sx={{ textAlign: { sm: "right" }, fontSize: "0.875rem" }}>
            <div>{card.forWhom}</div>
            <Box sx={{ color: COLOUR.soft }}>{card.begins}</Box>
          </Box>
        </Paper>
      ))}
    </Box>
  );
}
