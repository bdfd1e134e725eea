"use client";
import { AppRouterCacheProvider } from "@mui/material-nextjs/v16-appRouter";
import { ThemeProvider } from "@mui/material/styles";
import { SnackbarProvider } from "notistack";
import type { ReactNode } from "react";
import { KeepPages } from "./KeepPages";
import { theme } from "./theme";
import { InTongue } from "./words/InTongue";
import type { TongueTag } from "./words/tongues";

interface Props {
  readonly children: ReactNode;
  readonly nonce: string | undefined;
  readonly tongue: TongueTag;
}

/** What every page stands in: theme, style cache, tongue, and short notices at the foot of the window. */
export function Providers({ children, nonce, tongue }: Props) {
  return (
    <AppRouterCacheProvider options={{ key: "eland", ...(nonce ? { nonce } : {}) }}>
      <ThemeProvider theme={theme}>
        <SnackbarProvider maxSnack={3} anchorOrigin={{ vertical: "bottom", horizontal: "center" }}>
          <KeepPages />
          <InTongue tag={tongue}>{children}</InTongue>
        </SnackbarProvider>
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}
