"use client";
import { Broken } from "@/ui/Broken";

/** Stands in for the whole page, its frame included. */
export default function Failed({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <html lang="en">
      <body>
        <Broken error={error} onAgain={reset} />
      </body>
    </html>
  );
}
