"use client";
import { AppRouterCacheProvider } from "@mui/material-nextjs/v16-appRouter";
import { ThemeProvider } from "@mui/material/styles";
import { SnackbarProvider } from "notistack";
import type { ReactNode } from "react";
import { KeepPages } from "./KeepPages";
import { theme } from "./theme";

/** What every page stands in: theme, style cache, and short notices at the foot of the window. */
export function Providers({ children, nonce }: { readonly children: ReactNode; readonly nonce: string | undefined }) {
  return (
    <AppRouterCacheProvider options={{ key: "eland", ...(nonce ? { nonce } : {}) }}>
      <ThemeProvider theme={theme}>
        <SnackbarProvider maxSnack={3} anchorOrigin={{ vertical: "bottom", horizontal: "center" }}>
          <KeepPages />
          {children}
        </SnackbarProvider>
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}
