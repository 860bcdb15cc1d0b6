import Box from "@mui/material/Box";
import Link from "next/link";
import { COLOUR } from "../theme/tokens";
import { CALCULATORS } from "./calculators";

const WHENS = [...new Set(CALCULATORS.map(({ when }) => when))];

/** The questions of the bench as links, by when they come up. */
export function Questions({ here, isWide }: { here?: string; isWide?: boolean }) {
  return (
    <Box
      sx={{
        display: "grid",
        gap: isWide ? 2.5 : 1.5,
        gridTemplateColumns: isWide ? { xs: "1fr", sm: "1fr 1fr", md: "repeat(3, 1fr)" } : "1fr",
        alignItems: "start",
      }}
    >
      {WHENS.map((when) => (
        <Box key={when}>
          <Box
            sx={{ fontSize: "0.8rem", fontWeight: 650, color: COLOUR.ember, borderBottom: `2px solid ${COLOUR.line}`, pb: 0.25 }}
          >
            {when}
          </Box>
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {CALCULATORS.filter((one) => one.when === when).map(({ id, question }) => (
              <Box component="li" key={id} sx={{ borderBottom: `1px solid ${COLOUR.line}` }}>
                <Box
                  component={Link}
                  href={`/bench/${id}`}
                  aria-current={id === here ? "page" : undefined}
                  sx={{
                    display: "flex",
                    alignItems: "center",
                    minHeight: isWide ? 48 : 40,
                    px: 1,
                    color: id === here ? COLOUR.tideDeep : COLOUR.ink,
                    background: id === here ? COLOUR.tideMist : "transparent",
                    fontWeight: id === here ? 650 : 450,
                    textDecoration: "none",
                    "&:hover": { background: COLOUR.tideMist },
                  }}
                >
                  {question}
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
