import { WorkEnded } from "@/workers/supervised";

/** What is said of something that failed: its own sentence where it is one for the maker, else `otherwise`. */
export function sentenceOf(error: unknown, otherwise: string): string {
  if (error instanceof WorkEnded) return error.message;
  console.error(otherwise, error);
  return otherwise;
}
