import { FOLD_WORDS, type ClothLay, type LayCloth } from "../../cloth";
import { formatLength, type Tape } from "../../units";
import { fileStem, type HandedFile } from "../handedFile";
import { escaped } from "./markup";

/** Room round the cloth for words, in millimetres. */
const ROOM = 60;

/**
 * A lay as a drawing at true scale, in millimetres: the cloth, every piece by its cut line with its name, and lengths from
 * the cut end. `names` are the pieces' names by id.
 */
export function laySvg(
  title: string,
  lay: ClothLay,
  cloth: LayCloth,
  names: ReadonlyMap<string, string>,
  tape: Tape,
): HandedFile {
  const end = Math.max(lay.length, ...(cloth.outline ?? []).map(([x]) => x));
  const [wide, tall] = [end + 2 * ROOM, lay.drawnWidth + 2 * ROOM];
  const y = (across: number): number => lay.drawnWidth - across;
  const pieces = lay.placements.map((p) => {
    const points = p.outline.map(([px, py]) => `${px.toFixed(2)},${y(py).toFixed(2)}`).join(" ");
    const note = p.onFold ? ", on the fold" : p.layers === 2 ? ", 2 layers" : "";
    const words = escaped(`${names.get(p.piece) ?? p.piece}${note}`);
    return `<g id="${escaped(p.piece)}-${p.copy}"><polygon points="${points}" fill="none" stroke="#14302a" stroke-width="1"/><text x="${p.x.toFixed(1)}" y="${y(p.y).toFixed(1)}" font-size="16" text-anchor="middle" font-family="sans-serif">${words}</text></g>`;
  });
  const marks = Array.from({ length: Math.floor(lay.length / 100) + 1 }, (_, i) => {
    const x = 100 * i;
    return `<path d="M${x} ${lay.drawnWidth + 6}v${i % 5 === 0 ? 14 : 7}" stroke="#14302a" stroke-width="0.7"/>${i % 5 === 0 ? `<text x="${x}" y="${lay.drawnWidth + 40}" font-size="16" text-anchor="middle" font-family="sans-serif">${formatLength(x, tape)}</text>` : ""}`;
  });
  const corners = cloth.outline?.map(([px, py]) => `${px.toFixed(2)},${y(py).toFixed(2)}`).join(" ");
  const shape = corners
    ? `<polygon points="${corners}"`
    : `<rect x="0" y="0" width="${lay.length.toFixed(2)}" height="${lay.drawnWidth.toFixed(2)}"`;
  const words = escaped(
    `${title}: needs ${formatLength(lay.length, tape)}, ${formatLength(cloth.width, tape)} wide, ${FOLD_WORDS[cloth.fold]}`,
  );
  const text = `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${wide.toFixed(1)}mm" height="${tall.toFixed(1)}mm" viewBox="${-ROOM} ${-ROOM} ${wide.toFixed(1)} ${tall.toFixed(1)}">
<text x="0" y="-18" font-size="20" font-family="sans-serif">${words}</text>
<g id="cloth">${shape} fill="none" stroke="#888" stroke-width="0.7"/></g>
<g id="pieces">${pieces.join("")}</g>
<g id="lengths">${marks.join("")}</g>
</svg>
`;
  return { name: `${fileStem(title)}-lay.svg`, type: "image/svg+xml", bytes: new TextEncoder().encode(text) };
}
