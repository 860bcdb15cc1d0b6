"use client";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Main } from "../kit/Main";
import { TopBar } from "../kit/TopBar";
import { COLOUR } from "../theme/tokens";
import { Questions } from "./Questions";

/** All questions that have an answer of their own, by when they come up. */
export function BenchIndex() {
  return (
    <>
      <TopBar />
      <Main sx={{ px: { xs: 2, md: 4 }, py: 2.5, maxWidth: 1100 }}>
        <Typography variant="h1" sx={{ fontSize: "1.6rem" }}>
          One answer, now
        </Typography>
        <Typography sx={{ color: COLOUR.soft, mb: 2 }}>
          For whoever stands at the worktop and wants to know one thing. Nothing is kept; the address of an answer holds its
          figures.
        </Typography>
        <Box component="nav" aria-label="Questions">
          <Questions isWide />
        </Box>
      </Main>
    </>
  );
}
