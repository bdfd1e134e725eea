import "@fontsource-variable/bricolage-grotesque/wght.css";
import "@fontsource-variable/encode-sans/wdth.css";
import "./globals.css";
import type { Metadata } from "next";
import { cookies, headers } from "next/headers";
import type { ReactNode } from "react";
import { Providers } from "@/ui/Providers";
import { TONGUE_COOKIE, tongueFrom } from "@/ui/words/tongues";

export const metadata: Metadata = {
  title: "Eland",
  description: "From a wearer's measures to trouser pieces that can be cut today",
  icons: { icon: "/icon.svg", apple: "/icons/icon-apple-180.png" },
};

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const nonce = (await headers()).get("x-nonce") ?? undefined;
  const tongue = tongueFrom((await cookies()).get(TONGUE_COOKIE)?.value);
  return (
    <html lang={tongue}>
      <body>
        <Providers nonce={nonce} tongue={tongue}>
          {children}
        </Providers>
      </body>
    </html>
  );
}
