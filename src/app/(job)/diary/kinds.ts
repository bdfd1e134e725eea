import type { EntryKind } from "@/core/diary";

/** What a page is called, and what its maker is asked to write. */
export const KINDS: Readonly<Record<EntryKind, { readonly label: string; readonly ask: string }>> = {
  cutting: { label: "Cloth cut", ask: "What was cut, from which cloth, and how the lay went." },
  toile: { label: "Toile", ask: "Out of what, and how it sat." },
  fitting: { label: "Tried on", ask: "What was seen, standing, sitting and walking." },
  finishing: { label: "Finished", ask: "How it came out, and what took long." },
  wearing: { label: "Worn", ask: "How it wears: where it rubs, rides up, loosens." },
  regret: { label: "Next time otherwise", ask: "What would be cut otherwise, and why." },
};
