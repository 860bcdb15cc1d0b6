"use client";
import Box from "@mui/material/Box";
import Link from "next/link";
import { COLOUR } from "../theme/tokens";

/** A place to go in the bar at the top; the one that is here stands out as part of the page. */
export function Tab({ href, name, here }: { href: string; name: string; here: boolean }) {
  return (
    <Box
      component={Link}
      href={href}
      aria-current={here ? "page" : undefined}
      sx={{
        px: 2.5,
        py: 1.25,
        color: here ? COLOUR.ink : "#e4f1ef",
        background: here ? COLOUR.page : "transparent",
        borderRadius: "4px 4px 0 0",
        textDecoration: "none",
        fontWeight: 600,
        "&:hover": { background: here ? COLOUR.page : "rgba(255,255,255,0.12)" },
        "&:focus-visible": { outline: "2px solid #fff", outlineOffset: -3 },
      }}
    >
      {name}
    </Box>
  );
}
