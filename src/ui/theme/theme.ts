"use client";
import { createTheme } from "@mui/material/styles";
import { COLOUR } from "./tokens";

const TEXT = '"Inter Variable", system-ui, sans-serif';
const DISPLAY = '"Fraunces Variable", Georgia, serif';

/** One system of type, colour, spacing and shape for the whole product. */
export const theme = createTheme({
  palette: {
    mode: "light",
    primary: { main: COLOUR.tide, dark: COLOUR.tideDeep, contrastText: "#ffffff" },
    secondary: { main: COLOUR.ember, contrastText: "#ffffff" },
    error: { main: COLOUR.ember },
    warning: { main: COLOUR.caution },
    success: { main: COLOUR.fits },
    background: { default: COLOUR.page, paper: COLOUR.card },
    text: { primary: COLOUR.ink, secondary: COLOUR.soft },
    divider: COLOUR.line,
  },
  spacing: 6,
  shape: { borderRadius: 4 },
  typography: {
    fontFamily: TEXT,
    fontSize: 14,
    h1: { fontFamily: DISPLAY, fontSize: "1.5rem", fontWeight: 560, letterSpacing: "-0.01em" },
    h2: { fontFamily: DISPLAY, fontSize: "1.15rem", fontWeight: 560 },
    h3: { fontFamily: TEXT, fontSize: "0.95rem", fontWeight: 640 },
    body1: { fontSize: "0.9375rem" },
    body2: { fontSize: "0.85rem" },
    button: { textTransform: "none", fontWeight: 600 },
    caption: { fontSize: "0.75rem", color: COLOUR.soft },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        a: { color: COLOUR.tide },
        body: { fontVariantNumeric: "tabular-nums", WebkitFontSmoothing: "antialiased" },
        // On paper: what can be pressed is left out, the rest is black on white.
        "@media print": { "header, nav, .no-print": { display: "none !important" }, body: { background: "#fff !important" } },
        "@media (prefers-reduced-motion: reduce)": { "*": { animation: "none !important", transition: "none !important" } },
      },
    },
    MuiPaper: {
      defaultProps: { elevation: 0 },
      styleOverrides: { root: { border: `1px solid ${COLOUR.line}`, backgroundImage: "none" } },
    },
    MuiButton: { defaultProps: { disableElevation: true }, styleOverrides: { root: { borderRadius: 4, minHeight: 36 } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          color: COLOUR.ink,
          "&.Mui-selected, &.Mui-selected:hover": { background: COLOUR.tide, color: "#ffffff" },
          "&:hover": { background: COLOUR.tideMist },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiTextField: { defaultProps: { size: "small" } },
    MuiSelect: { styleOverrides: { select: { fontSize: "0.875rem", paddingLeft: 10 } } },
    MuiInputBase: { styleOverrides: { input: { fontSize: "0.9rem" } } },
    MuiOutlinedInput: {
      styleOverrides: { root: { backgroundColor: COLOUR.card }, input: { paddingLeft: 10, paddingRight: 10 } },
    },
    MuiTableCell: {
      styleOverrides: {
        root: { borderColor: COLOUR.line, padding: "6px 10px" },
        head: { color: COLOUR.soft, fontWeight: 600, fontSize: "0.78rem" },
      },
    },
  },
});
