import "@fontsource-variable/bricolage-grotesque/wght.css";
import "@fontsource-variable/encode-sans/wdth.css";
import "./globals.css";
import type { Metadata } from "next";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { Providers } from "@/ui/Providers";

export const metadata: Metadata = {
  title: "Eland",
  description: "From a wearer's measures to trouser pieces that can be cut today",
};

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const nonce = (await headers()).get("x-nonce") ?? undefined;
  return (
    <html lang="en">
      <body>
        <Providers nonce={nonce}>{children}</Providers>
      </body>
    </html>
  );
}
