import { spokenCatalog, type Catalog } from "@/locale/catalog";

/** The first thing a worker is told where the page speaks another language than English. */
export interface ToldTongue {
  readonly speaks: Catalog;
}

/** Tells a worker that was just started what the page speaks; what it is asked comes after that. */
export function tellTongue(worker: Pick<Worker, "postMessage">): void {
  const speaks = spokenCatalog();
  if (speaks) worker.postMessage({ speaks } satisfies ToldTongue);
}
