"use client";
import Box from "@mui/material/Box";
import Link from "next/link";
import { usePathname } from "next/navigation";
import type { ReactNode } from "react";
import { COLOUR } from "../theme/tokens";
import { DisplayMenu } from "./DisplayMenu";
import { Tab } from "./Tab";

const PLACES = [
  { href: "/", name: "Gatherings" },
  { href: "/items", name: "Items" },
  { href: "/kitchens", name: "Kitchens" },
  { href: "/bench", name: "Bench" },
] as const;

/** The bar above the pages that belong to no gathering. `children` stand at its right end. */
export function TopBar({ children }: { children?: ReactNode }) {
  const path = usePathname();
  return (
    <Box
      component="header"
      sx={{
        background: COLOUR.tideDeep,
        color: "#fff",
        px: { xs: 2, md: 4 },
        pt: 1.5,
        display: "flex",
        alignItems: "flex-end",
        gap: 3,
        flexWrap: "wrap",
      }}
    >
      <Box sx={{ fontFamily: '"Fraunces Variable", serif', fontSize: "1.35rem", fontWeight: 560, pb: 1 }}>Unisynth</Box>
      <Box component="nav" aria-label="Places" sx={{ display: "flex", gap: 0.5 }}>
        {PLACES.map(({ href, name }) => (
          <Tab key={href} href={href} name={name} here={href === "/" ? path === "/" : path.startsWith(href)} />
        ))}
      </Box>
      <Box sx={{ ml: "auto", pb: 1, display: "flex", alignItems: "center", gap: 2, fontSize: "0.8rem", color: "#cfe3e0" }}>
        <Box component={Link} href="/devices" sx={{ color: "inherit", textDecoration: "none", fontWeight: 600 }}>
          Devices
        </Box>
        <DisplayMenu />
        {children}
      </Box>
    </Box>
  );
}
