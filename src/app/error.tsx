"use client";
import { Broken } from "@/ui/Broken";

export default function Failed({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return <Broken error={error} onAgain={reset} />;
}
