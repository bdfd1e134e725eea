import type { MetadataRoute } from "next";

/** What an installed Eland is called and looks like. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: "/",
    name: "Eland",
    short_name: "Eland",
    description: "From a wearer's measures to trouser pieces that can be cut today",
    start_url: "/",
    scope: "/",
    display: "standalone",
    background_color: "#fcfdf9",
    theme_color: "#14302a",
    icons: [
      { src: "/icons/icon-192.png", sizes: "192x192", type: "image/png" },
      { src: "/icons/icon-512.png", sizes: "512x512", type: "image/png" },
      { src: "/icons/icon-maskable-512.png", sizes: "512x512", type: "image/png", purpose: "maskable" },
    ],
  };
}
