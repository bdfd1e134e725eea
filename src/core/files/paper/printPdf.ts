import { newBook } from "./book";
import { drawMap } from "./mapPage";
import type { PrintOptions } from "./options";
import { pagePlan } from "./pagePlan";
import { paperWord, PAPERS } from "./papers";
import { drawProjected } from "./projected";
import type { PrintSet } from "./sheet";
import { drawTile } from "./tilePage";

/** Room for the squares and the words before a roll. */
const HEAD_HEIGHT = 240;

/**
 * The print set at 1:1. On sheets and rolls a page with two test squares and the map comes first, then the pages; for a
 * projector it is one page on a grid. Every length on the pages is true. Throws Refusal where the paper cannot hold it.
 */
export async function printPdf(set: PrintSet, options: PrintOptions): Promise<Uint8Array> {
  const plan = pagePlan(set.pieces, options);
  const book = await newBook(set.title);
  const { paper } = options;
  if (paper.on === "projector") {
    drawProjected(book.page(plan.page.width, plan.page.height), plan, options);
    return book.bytes();
  }
  const size = paper.on === "sheets" ? PAPERS[paper.size] : { width: paper.width, height: HEAD_HEIGHT };
  const label = paper.on === "sheets" ? PAPERS[paper.size].label : paperWord(paper);
  drawMap(book.page(size.width, size.height), set, plan, { ...size, label });
  for (const tile of plan.tiles) drawTile(book.page(plan.page.width, plan.page.height), set, plan, tile, options);
  return book.bytes();
}
