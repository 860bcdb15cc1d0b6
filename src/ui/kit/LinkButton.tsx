"use client";
import Button from "@mui/material/Button";
import type { SxProps } from "@mui/material/styles";
import Link from "next/link";
import type { ReactNode } from "react";

/** A way to another page that looks like the thing to do next. */
export function LinkButton({ href, sx, children }: { href: string; sx?: SxProps; children: ReactNode }) {
  return (
    <Button component={Link} href={href} variant="contained" sx={sx ?? null}>
      {children}
    </Button>
  );
}
