import type { Box, Point } from "../../geometry";
import { type Mm, type Words } from "../../units";
import type { PagePlan } from "./pagePlan";

/** The pages as a preview draws them: where each piece lies, and which part of it each page shows. */
export interface PagesShown {
  readonly width: Mm;
  readonly height: Mm;
  readonly page: { readonly width: Mm; readonly height: Mm };
  readonly pieces: readonly {
    readonly id: string;
    readonly name: Words;
    readonly outlines: readonly (readonly Point[])[];
  }[];
  readonly tiles: readonly { readonly name: string; readonly window: Box }[];
}

/** A page plan as plain data. */
export const pagesShown = ({ sheet, page, tiles }: PagePlan): PagesShown => ({
  width: Math.max(sheet.width, ...tiles.map((t) => t.window.right)),
  height: Math.max(sheet.height, ...tiles.map((t) => t.window.bottom)),
  page: { width: page.width, height: page.height },
  pieces: sheet.placed.map(({ piece, place }) => ({
    id: piece.id,
    name: piece.name,
    outlines: (piece.sizes?.map((s) => s.cutLine) ?? [piece.cutLine]).map((line) => line.map(place)),
  })),
  tiles: tiles.map(({ name, window }) => ({ name, window })),
});
