import { inTongue, isTranslated } from "@/core/words";

/** What a chart shows, with every text in it in the tongue that is spoken. */
export function saidOption<T>(option: T): T {
  return isTranslated() ? (said(option) as T) : option;
}

function said(part: unknown): unknown {
  if (typeof part === "string") return inTongue(part);
  if (Array.isArray(part)) return part.map(said);
  if (typeof part !== "object" || part === null) return part;
  return Object.fromEntries(Object.entries(part).map(([name, own]) => [name, said(own)]));
}
