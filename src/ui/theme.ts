"use client";
import { createTheme } from "@mui/material/styles";

const family = '"Encode Sans Variable", sans-serif';

/** Eland's own look over the component library: calm, square-shouldered, few boxes. Follows the system's light or dark. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: "media" },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: "#14302a", contrastText: "#ffffff" },
        secondary: { main: "#a84d00", contrastText: "#ffffff" },
        background: { default: "#f6f7f2", paper: "#f6f7f2" },
        text: { primary: "#14302a", secondary: "#52645d" },
        divider: "#d4dacf",
        error: { main: "#a3161f" },
      },
    },
    dark: {
      palette: {
        primary: { main: "#dfe9d8", contrastText: "#14302a" },
        secondary: { main: "#f5a462", contrastText: "#14302a" },
        background: { default: "#1d2725", paper: "#1d2725" },
        text: { primary: "#e6ece4", secondary: "#a9b8b0" },
        divider: "#3a4744",
        error: { main: "#f08a8f" },
      },
    },
  },
  shape: { borderRadius: 4 },
  spacing: 8,
  typography: {
    fontFamily: family,
    fontSize: 13,
    button: { textTransform: "none", fontWeight: 650 },
    h1: { fontFamily: '"Bricolage Grotesque Variable", sans-serif', fontSize: 24, fontWeight: 700 },
    h2: { fontSize: 13, fontWeight: 650, color: "var(--quiet)" },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: { defaultProps: { disableElevation: true, size: "small" } },
    MuiTextField: { defaultProps: { size: "small" } },
    MuiOutlinedInput: {
      styleOverrides: {
        root: { backgroundColor: "var(--field)" },
        input: { padding: "5px 8px", fontFeatureSettings: '"tnum"' },
        notchedOutline: { borderColor: "var(--rule)" },
      },
    },
    MuiDialog: { styleOverrides: { paper: { borderRadius: 6, backgroundImage: "none" } } },
    MuiTooltip: { defaultProps: { enterDelay: 500, arrow: true } },
    MuiFormHelperText: { styleOverrides: { root: { marginLeft: 0, marginTop: 2, lineHeight: 1.35 } } },
  },
});
