"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useRouter } from "next/navigation";
import type { Result } from "@/core/shared/issue";
import { CardTitle } from "../kit/CardTitle";
import { TopBar } from "../kit/TopBar";
import { Unreadable, type UnreadableRow } from "../kit/Unreadable";
import { useAttempt } from "../kit/use-attempt";
import { COLOUR } from "../theme/tokens";

interface Card {
  readonly id: string;
  readonly name: string;
  readonly line: string;
  /** Gatherings that are held in it. */
  readonly uses: number;
  readonly isAway: boolean;
}

interface Props {
  readonly cards: readonly Card[];
  readonly unreadable: readonly UnreadableRow[];
  readonly create: (kitchen: { name: string; like?: string }) => Promise<Result<{ id: string }>>;
  readonly archive: (id: string, away: boolean) => Promise<Result<unknown>>;
}

const usesText = (uses: number): string =>
  uses === 0 ? "no gathering is held in it" : uses === 1 ? "1 gathering is held in it" : `${uses} gatherings are held in it`;

/** The kitchens that gatherings are held in: who cooks there, and what heats. */
export function KitchensList({ cards, unreadable, create, archive }: Props) {
  const router = useRouter();
  const { attempt, told } = useAttempt();
  const make = (name: string, like?: string) =>
    attempt(
      `Making ${name}`,
      () => create({ name, ...(like !== undefined && { like }) }),
      ({ id }) => router.push(`/kitchens/${encodeURIComponent(id)}`),
    );
  const move = ({ id, name, isAway }: Card) =>
    attempt(
      isAway ? `Bringing ${name} back` : `Putting ${name} away`,
      () => archive(id, !isAway),
      () => router.refresh(),
    );
  return (
    <>
      <TopBar />
      <Box component="main" sx={{ maxWidth: 980, mx: "auto", px: { xs: 2, md: 4 }, py: 4 }}>
        <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap", mb: 3 }}>
          <div>
            <Typography variant="h1">Kitchens</Typography>
            <Typography color="text.secondary">Who cooks where, with what, and how warm it is there.</Typography>
          </div>
          <Button variant="contained" sx={{ ml: "auto" }} onClick={() => make("My kitchen")}>
            A kitchen of my own
          </Button>
        </Box>
        {told}
        <Unreadable rows={unreadable} kind="kitchen" />
        <Box sx={{ display: "grid", gap: 2 }}>
          {[...cards]
            .sort((a, b) => Number(a.isAway) - Number(b.isAway))
            .map((card) => (
              <Paper
                key={card.id}
                component="article"
                aria-label={card.name}
                sx={{
                  p: 2.5,
                  position: "relative",
                  display: "flex",
                  gap: 2,
                  flexWrap: "wrap",
                  borderStyle: card.isAway ? "dashed" : "solid",
                  "&:hover, &:focus-within": { borderColor: COLOUR.tide },
                }}
              >
                <Box sx={{ flex: "1 1 320px", minWidth: 0, overflowWrap: "anywhere" }}>
                  <CardTitle href={`/kitchens/${encodeURIComponent(card.id)}`} name={card.name} />
                  <Typography variant="body2">{card.line}</Typography>
                  <Typography variant="body2" color="text.secondary">
                    {card.isAway ? "put away; " : ""}
                    {usesText(card.uses)}
                  </Typography>
                </Box>
                <Box sx={{ position: "relative", display: "flex", gap: 0.5, alignItems: "flex-start" }}>
                  <Button size="small" onClick={() => make(`${card.name} (copy)`, card.id)} aria-label={`Copy ${card.name}`}>
                    Copy
                  </Button>
                  <Button
                    size="small"
                    onClick={() => move(card)}
                    aria-label={`${card.isAway ? "Bring back" : "Put away"} ${card.name}`}
                  >
                    {card.isAway ? "Bring back" : "Put away"}
                  </Button>
                </Box>
              </Paper>
            ))}
        </Box>
      </Box>
    </>
  );
}
