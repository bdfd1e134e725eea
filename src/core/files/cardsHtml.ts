import { handCurve } from "../making/runs";
import type { Card } from "../making";
import type { Path } from "../geometry";
import { tell, type Tape } from "../units";
import { fileStem, type HandedFile } from "./job";
import { escaped } from "./markup";

type Drawn = Extract<Card["act"], { kind: "line" | "curve" }>;
const drawnOf = ({ act }: Card): Drawn | null => (act.kind === "line" || act.kind === "curve" ? act : null);

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

const dataOf = ({ kind, from, to, guides, leaves, arrives }: Drawn): string =>
  kind === "line"
    ? `M${short(from[0])} ${short(from[1])}L${short(to[0])} ${short(to[1])}`
    : data(handCurve([from, ...guides.map((g) => g.at), to], leaves, arrives));

/** The drawing of a card: its panel, the lines so far, the new one lit; empty where it draws none. */
function picture(card: Card, own: readonly Card[]): string {
  const drawn = own.flatMap((c) => {
    const act = drawnOf(c);
    return act ? [{ n: c.n, act }] : [];
  });
  if (drawn.length === 0) return "";
  const points = drawn.flatMap(({ act }) => [act.from, act.to]);
  const [xs, ys] = [
    [0, ...points.map(([x]) => x)],
    [0, ...points.map(([, y]) => y)],
  ];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [wide, tall] = [Math.max(...xs) - left, Math.max(...ys) - top];
  const pad = 0.1 * Math.max(wide, tall);
  const lines = drawn
    .filter(({ n }) => n <= card.n)
    .map(({ n, act }) => `<path d="${dataOf(act)}" class="${n === card.n ? "new" : "old"}"/>`)
    .join("");
  return `<svg viewBox="${short(left - pad)} ${short(top - pad)} ${short(wide + 2 * pad)} ${short(tall + 2 * pad)}"><path class="axis" d="M0 ${short(top - pad)}V${short(top + tall + pad)}M${short(left - pad)} 0H${short(left + wide + pad)}"/>${lines}</svg>`;
}

const STYLE = `body{margin:0;font:22px/1.35 sans-serif;color:#14302a;background:#fcfcf9}main{scroll-snap-type:y mandatory;height:100vh;overflow-y:scroll}section{scroll-snap-align:start;min-height:100vh;box-sizing:border-box;padding:16px 18px;display:flex;flex-direction:column}svg{flex:1;min-height:38vh;width:100%}path{fill:none;vector-effect:non-scaling-stroke}.old{stroke:#14302a;stroke-width:2}.new{stroke:#e8791f;stroke-width:4}.axis{stroke:#8a948e;stroke-dasharray:3 5}h2{font-size:16px;margin:0;color:#55655e}p{font-size:26px;margin:10px 0 0}`;

/** Chalk cards as one page that opens without Eland: one card a screen, the next by a swipe. */
export function cardsHtml(title: string, cards: readonly Card[], tape: Tape): HandedFile {
  const byPanel = new Map<string, Card[]>();
  for (const card of cards) byPanel.set(card.panel, [...(byPanel.get(card.panel) ?? []), card]);
  const sections = cards.map(
    (card) =>
      `<section><h2>${escaped(card.name)}, card ${card.n} of ${cards.length}</h2>${picture(card, byPanel.get(card.panel) ?? [])}<p>${escaped(tell(card.says, tape))}</p></section>`,
  );
  const text = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${escaped(title)}</title><style>${STYLE}</style></head><body><main>${sections.join("\n")}</main></body></html>
`;
  return { name: `${fileStem(title)}-cards.html`, type: "text/html", bytes: new TextEncoder().encode(text) };
}
