"use client";
import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { COLOUR } from "../theme/tokens";

interface Props {
  readonly amount: string;
  readonly name: string;
  /** Read out after the name. */
  readonly says?: string | undefined;
  readonly big: boolean;
  readonly ticked: boolean;
  readonly onTick: () => void;
  /** Shown after the name. */
  readonly children?: ReactNode;
}

/** One line of a sheet, the amount first; the whole line is the target. */
export function TickLine({ amount, name, says, big, ticked, onTick, children }: Props) {
  return (
    <Box
      component="button"
      type="button"
      role="checkbox"
      aria-checked={ticked}
      aria-label={`${amount} ${name}${says ? `, ${says}` : ""}`}
      onClick={onTick}
      sx={{
        display: "grid",
        gridTemplateColumns: big ? "20px 112px 1fr" : "16px 74px 1fr",
        columnGap: 1,
        width: "100%",
        minHeight: big ? 44 : 30,
        alignItems: "center",
        border: 0,
        borderTop: `1px solid ${COLOUR.line}`,
        background: "none",
        font: "inherit",
        fontSize: big ? "1.25rem" : "0.9rem",
        textAlign: "left",
        color: ticked ? COLOUR.soft : COLOUR.ink,
        cursor: "pointer",
        px: 0,
        "&:focus-visible": { outline: `2px solid ${COLOUR.ink}`, outlineOffset: -2 },
      }}
    >
      <Box
        component="span"
        aria-hidden
        sx={{
          width: big ? 18 : 14,
          height: big ? 18 : 14,
          border: `1.5px solid ${ticked ? COLOUR.fits : COLOUR.soft}`,
          borderRadius: "2px",
          color: COLOUR.fits,
          fontSize: big ? 17 : 13,
          lineHeight: big ? "16px" : "11px",
          fontWeight: 700,
        }}
      >
        {ticked ? "✓" : ""}
      </Box>
      <Box
        component="span"
        sx={{ textAlign: "right", fontWeight: 650, whiteSpace: "nowrap", textDecoration: ticked ? "line-through" : "none" }}
      >
        {amount}
      </Box>
      <Box component="span" sx={{ overflowWrap: "anywhere" }}>
        {name}
        {children}
      </Box>
    </Box>
  );
}
