import "@fontsource-variable/fraunces";
import "@fontsource-variable/inter";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { AppRouterCacheProvider } from "@mui/material-nextjs/v16-appRouter";
import type { Metadata } from "next";
import type { ReactNode } from "react";
import { OutboxProvider } from "@/ui/session/OutboxProvider";
import { theme } from "@/ui/theme/theme";
import { saveGathering, savePantry, savePlanPiece } from "./g/[id]/actions";
import { saveItem } from "./items/actions";
import { saveKitchen } from "./kitchens/actions";
import { forgetOwn, keepOwn } from "./own-actions";

export const metadata: Metadata = {
  title: { default: "Unisynth", template: "%s · Unisynth" },
  description: "Plans batches of filled dough items on one timeline, counted back from serving.",
};

export const dynamic = "force-dynamic";

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body>
        <AppRouterCacheProvider>
          <ThemeProvider theme={theme}>
            <CssBaseline />
            <OutboxProvider actions={{ saveGathering, saveItem, saveKitchen, savePlanPiece, savePantry, keepOwn, forgetOwn }}>
              {children}
            </OutboxProvider>
          </ThemeProvider>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
