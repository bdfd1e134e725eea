import { boxOf, pathEnd, pathStart, type Path } from "../geometry";
import { cardsByDrawing, pictureOf, type Card } from "../making";
import { tell, type Tape, textOf } from "../units";
import { fileStem, type HandedFile } from "./handedFile";
import { escaped } from "./drawing/markup";

const data = (path: Path): string =>
  path
    .map(
      (s, i) =>
        `${i === 0 ? `M${s.points[0].map(short).join(" ")}` : ""}${s.kind === "line" ? "L" : "C"}${s.points
          .slice(1)
          .map((p) => p.map(short).join(" "))
          .join(" ")}`,
    )
    .join("");
const short = (mm: number): string => mm.toFixed(1);

/** The drawing of a card: its panel, the lines so far, the new one lit; empty where it draws none. */
function picture(card: Card, own: readonly Card[]): string {
  const whole = pictureOf(own.at(-1) ?? card, own);
  if (whole.length === 0) return "";
  const box = boxOf([[0, 0], ...whole.flatMap(({ path }) => [pathStart(path), pathEnd(path)])]);
  const [wide, tall] = [box.right - box.left, box.bottom - box.top];
  const pad = 0.1 * Math.max(wide, tall);
  const [left, top] = [box.left, box.top];
  const lines = pictureOf(card, own)
    .map(
      ({ path, isNew, kind }) =>
        `<path d="${data(path)}" class="${isNew ? "new" : kind === "outline" ? "old" : "faint"}"/>`,
    )
    .join("");
  return `<svg viewBox="${short(left - pad)} ${short(top - pad)} ${short(wide + 2 * pad)} ${short(tall + 2 * pad)}"><path class="axis" d="M0 ${short(top - pad)}V${short(top + tall + pad)}M${short(left - pad)} 0H${short(left + wide + pad)}"/>${lines}</svg>`;
}

const STYLE = `body{margin:0;font:22px/1.35 sans-serif;color:#14302a;background:#fcfcf9}main{scroll-snap-type:y mandatory;height:100vh;overflow-y:scroll}section{scroll-snap-align:start;min-height:100vh;box-sizing:border-box;padding:16px 18px;display:flex;flex-direction:column}svg{flex:1;min-height:38vh;width:100%}path{fill:none;vector-effect:non-scaling-stroke}.old{stroke:#14302a;stroke-width:2}.new{stroke:#e8791f;stroke-width:4}.faint{stroke:#8a948e;stroke-width:1.2}.axis{stroke:#8a948e;stroke-dasharray:3 5}h2{font-size:16px;margin:0;color:#55655e}p{font-size:26px;margin:10px 0 0}`;

/** Chalk cards as one page that opens without Eland: one card a screen, the next by a swipe. */
export function cardsHtml(title: string, cards: readonly Card[], tape: Tape): HandedFile {
  const ofDrawing = cardsByDrawing(cards);
  const sections = cards.map(
    (card) =>
      `<section><h2>${escaped(textOf(card.name))}, card ${card.n} of ${cards.length}</h2>${picture(card, ofDrawing(card))}<p>${escaped(tell(card.says, tape))}</p></section>`,
  );
  const text = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${escaped(title)}</title><style>${STYLE}</style></head><body><main>${sections.join("\n")}</main></body></html>
`;
  return { name: `${fileStem(title)}-cards.html`, type: "text/html", bytes: new TextEncoder().encode(text) };
}
