import type { MadeGarment } from "./garment";
import type { Material } from "../pattern";
import type { Piece } from "../pieces";
import { type Mm, type Sentence, type Words } from "../units";

/** One line of the cutting list. */
export interface CutLine {
  readonly piece: string;
  readonly name: Words;
  readonly material: Material;
  readonly count: number;
  readonly onFold: boolean;
  readonly pairs: boolean;
  readonly singleLayer: boolean;
  /** How it lies where that is not along the cloth. */
  readonly lies: Piece["lies"];
  readonly note: string | null;
}

/** What is cut, by material. */
export const cuttingList = ({ pieces }: Pick<MadeGarment, "pieces">): readonly CutLine[] =>
  pieces.flatMap((p): CutLine[] => [
    { piece: p.id, name: p.name, material: p.material, ...p.cut, lies: p.lies, note: null },
    ...p.alsoCut.map((also): CutLine => ({
      piece: p.id,
      name: p.name,
      material: also.material,
      count: also.count,
      onFold: p.cut.onFold,
      pairs: p.cut.pairs && also.count % 2 === 0,
      singleLayer: p.cut.singleLayer,
      lies: p.lies,
      note: also.note ?? null,
    })),
  ]);

/** One line of the shopping list: cloth by its width and length, all else by its number or length. */
export interface Bought {
  readonly id: string;
  readonly label: Sentence;
  readonly count: number;
  readonly length: Mm | null;
  readonly note: Sentence | null;
}

/** What is bought besides cloth. */
export const shoppingList = ({ notions }: Pick<MadeGarment, "notions">): readonly Bought[] =>
  notions.map((n): Bought => ({
    id: n.id,
    label: n.label,
    count: n.count,
    length: n.length?.mm ?? null,
    note: n.note ?? null,
  }));
