"use client";
import { createTheme } from "@mui/material/styles";
import { COLOUR, DAY, NIGHT, variablesOf } from "./tokens";

const TEXT = '"Inter Variable", system-ui, sans-serif';
const DISPLAY = '"Fraunces Variable", Georgia, serif';

/** The document shows its night colours. */
export const NIGHT_MARK = "data-night";

/** One system of type, colour, spacing and shape for the whole product. */
const themeOf = (mode: "light" | "dark") => {
  const of = mode === "light" ? DAY : NIGHT;
  return createTheme({
    palette: {
      mode,
      primary: { main: of.tide, dark: mode === "light" ? of.tideDeep : "#a5e2dc", contrastText: of.card },
      secondary: { main: of.ember, contrastText: of.card },
      error: { main: of.ember },
      warning: { main: of.caution },
      success: { main: of.fits },
      background: { default: of.page, paper: of.card },
      text: { primary: of.ink, secondary: of.soft },
      divider: of.line,
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
          ":root": variablesOf(DAY),
          [`:root[${NIGHT_MARK}]`]: { ...variablesOf(NIGHT), colorScheme: "dark" },
          a: { color: COLOUR.tide },
          body: {
            background: COLOUR.page,
            color: COLOUR.ink,
            fontVariantNumeric: "tabular-nums",
            WebkitFontSmoothing: "antialiased",
          },
          // On paper: what can be pressed is left out, the rest is black on white.
          "@media print": {
            [`:root, :root[${NIGHT_MARK}]`]: variablesOf(DAY),
            "header, nav, .no-print": { display: "none !important" },
            body: { background: "#fff !important" },
          },
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
            "&.Mui-selected, &.Mui-selected:hover": { background: COLOUR.tide, color: COLOUR.card },
            "&:hover": { background: COLOUR.tideMist },
          },
        },
      },
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiTextField: { defaultProps: { size: "small" } },
      MuiSelect: { styleOverrides: { select: { fontSize: "0.875rem", paddingLeft: 10 } } },
      MuiInputBase: { styleOverrides: { input: { fontSize: "0.9rem" } } },
      MuiOutlinedInput: {
        styleOverrides: {
          root: { backgroundColor: COLOUR.card },
          input: { paddingLeft: 10, paddingRight: 10 },
          // Several lines begin where one line does.
          multiline: { paddingLeft: 10, paddingRight: 10, "& textarea": { paddingLeft: 0, paddingRight: 0 } },
        },
      },
      MuiTableCell: {
        styleOverrides: {
          root: { borderColor: COLOUR.line, padding: "6px 10px" },
          head: { color: COLOUR.soft, fontWeight: 600, fontSize: "0.78rem" },
        },
      },
    },
  });
};

export const theme = themeOf("light");
/** For a screen in a dim kitchen. */
export const nightTheme = themeOf("dark");
