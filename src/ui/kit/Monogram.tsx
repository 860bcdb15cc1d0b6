import Box from "@mui/material/Box";
import { monogram, type Tone } from "../theme/tokens";

/** The two letters and the tone by which an item is known on every screen. */
export function Monogram({ name, tone, small }: { name: string; tone: Tone; small?: boolean }) {
  return (
    <Box
      component="span"
      aria-hidden
      sx={{
        display: "inline-block",
        flex: "none",
        width: small ? 22 : 30,
        height: small ? 18 : 24,
        lineHeight: small ? "18px" : "24px",
        borderRadius: "3px",
        background: tone.deep,
        color: "#fff",
        fontSize: small ? 11 : 13,
        fontWeight: 700,
        textAlign: "center",
      }}
    >
      {monogram(name)}
    </Box>
  );
}
