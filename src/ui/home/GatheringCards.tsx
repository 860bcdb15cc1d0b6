"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Result } from "@/core/shared/issue";
import { Banner } from "../kit/Banner";
import { CardTitle } from "../kit/CardTitle";
import { useAttempt } from "../kit/use-attempt";
import { COLOUR } from "../theme/tokens";
import { AgainDialog } from "./AgainDialog";

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

interface Props {
  readonly cards: readonly GatheringCard[];
  /** What is shown: a gathering that was put away can be brought back, or taken out for good. */
  readonly side: "coming" | "past" | "away";
  readonly putAway: (id: string, away: boolean) => Promise<Result<unknown>>;
  readonly remove: (id: string) => Promise<Result<unknown>>;
  readonly repeat: (again: { id: string; name: string; date: string }) => Promise<Result<{ id: string }>>;
}

/** The cook's gatherings as a column of cards, the nearest first, and what may be done with each as a whole. */
export function GatheringCards({ cards, side, putAway, remove, repeat }: Props) {
  const router = useRouter();
  const { attempt, told } = useAttempt();
  const [again, setAgain] = useState<GatheringCard>();
  const [gone, setGone] = useState<GatheringCard>();
  const [sure, setSure] = useState<string>();
  const move = (card: GatheringCard, away: boolean) =>
    attempt(
      away ? `Putting ${card.name} away` : `Bringing ${card.name} back`,
      () => putAway(card.id, away),
      () => {
        setGone(away ? card : undefined);
        router.refresh();
      },
    );
  const takeOut = (card: GatheringCard) =>
    attempt(
      `Deleting ${card.name}`,
      () => remove(card.id),
      () => router.refresh(),
    );
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      {told}
      {gone && (
        <Banner kind="note" role="status" title={`${gone.name} is put away`}>
          <Button size="small" variant="outlined" onClick={() => move(gone, false)}>
            Undo
          </Button>
        </Banner>
      )}
      {cards.map((card) => (
        <Paper
          key={card.id}
          component="article"
          aria-label={card.name}
          sx={{
            p: 2.5,
            position: "relative",
            display: "grid",
            gridTemplateColumns: { xs: "1fr", sm: "120px minmax(0, 1fr) auto" },
            gap: 2,
            "&:hover, &:focus-within": { borderColor: COLOUR.tide },
          }}
        >
          <Box>
            <Typography sx={{ fontWeight: 650, color: COLOUR.tide }}>{card.day}</Typography>
            <Typography variant="caption">{card.away}</Typography>
          </Box>
          <Box sx={{ minWidth: 0, overflowWrap: "anywhere" }}>
            <CardTitle href={`/g/${encodeURIComponent(card.id)}`} name={card.name} />
            <Typography variant="body2" color="text.secondary">
              {card.line}
            </Typography>
          </Box>
          <Box sx={{ textAlign: { sm: "right" }, fontSize: "0.875rem" }}>
            <div>{card.forWhom}</div>
            <Box sx={{ color: COLOUR.soft }}>{card.begins}</Box>
            <Box
              sx={{
                position: "relative",
                mt: 0.5,
                display: "flex",
                gap: 0.5,
                justifyContent: { sm: "flex-end" },
                flexWrap: "wrap",
              }}
            >
              {side === "away" ? (
                <>
                  <Button size="small" onClick={() => move(card, false)} aria-label={`Bring back ${card.name}`}>
                    Bring back
                  </Button>
                  <Button
                    size="small"
                    color="error"
                    onClick={() => (sure === card.id ? takeOut(card) : setSure(card.id))}
                    aria-label={`Delete ${card.name} for good`}
                  >
                    {sure === card.id ? "Delete it with its plans: press again" : "Delete for good"}
                  </Button>
                </>
              ) : (
                <>
                  <Button size="small" onClick={() => setAgain(card)} aria-label={`${card.name} again on another day`}>
                    Again …
                  </Button>
                  <Button size="small" onClick={() => move(card, true)} aria-label={`Put ${card.name} away`}>
                    Put away
                  </Button>
                </>
              )}
            </Box>
          </Box>
        </Paper>
      ))}
      {again && (
        <AgainDialog
          name={again.name}
          onClose={() => setAgain(undefined)}
          onTake={(name, date) =>
            attempt(
              `Making ${name}`,
              () => repeat({ id: again.id, name, date }),
              ({ id }) => router.push(`/g/${encodeURIComponent(id)}`),
            )
          }
        />
      )}
    </Box>
  );
}
