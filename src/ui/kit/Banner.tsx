import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { COLOUR } from "../theme/tokens";

const LOOK = {
  refused: { ground: COLOUR.emberMist, line: COLOUR.ember, sign: "✕" },
  caution: { ground: COLOUR.cautionMist, line: COLOUR.caution, sign: "!" },
  note: { ground: COLOUR.tideMist, line: COLOUR.tide, sign: "i" },
} as const;

/** A sentence the cook must see, with a sign as well as a colour. */
export function Banner({
  kind,
  title,
  children,
  role,
}: {
  kind: keyof typeof LOOK;
  title?: string;
  children?: ReactNode;
  role?: "alert" | "status";
}) {
  const look = LOOK[kind];
  return (
    <Box
      role={role}
      sx={{
        display: "flex",
        gap: 1.5,
        p: 1.5,
        background: look.ground,
        borderLeft: `4px solid ${look.line}`,
        borderRadius: "2px",
      }}
    >
      <Box
        aria-hidden
        sx={{
          width: 20,
          height: 20,
          flex: "none",
          borderRadius: "50%",
          background: look.line,
          color: COLOUR.card,
          fontWeight: 700,
          fontSize: 13,
          textAlign: "center",
          lineHeight: "20px",
        }}
      >
        {look.sign}
      </Box>
      <Box sx={{ minWidth: 0, fontSize: "0.875rem" }}>
        {title && <Box sx={{ fontWeight: 650 }}>{title}</Box>}
        {children}
      </Box>
    </Box>
  );
}
