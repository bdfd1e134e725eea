import { mkdirSync, writeFileSync } from "node:fs";
import type { Body } from "../src/core/body";
import type { ClothLay, LayCloth } from "../src/core/cloth";
import { derive, type Derived } from "../src/core/derive";
import { layWithin, shapesOf } from "../src/core/derive/lay";
import { readJob, type Job } from "../src/core/files";
import { boxOf, type Point } from "../src/core/geometry";
import { isOpen, readingRows } from "../src/core/inspect";
import { cardsOf, cuttingList, makingOrder, USUAL_SCHOOLS } from "../src/core/making";
import { isOf, panelOutline, type Panel } from "../src/core/pattern";
import { FOUR_BODIES } from "../src/core/testing/jobs";
import { formatLength, tapeOf, tell, textOf, type Tape, NOTHING } from "../src/core/units";
import { WORKED_EXAMPLES } from "../src/store/workedExamples";

/**
 * Writes docs/garments.md: every worked example with its outline, its lay, its pieces, how many cards and steps it takes, and
 * what it measures on its own wearer and on four others. All of it comes out of the program.
 */
const CLOTH: LayCloth = { width: 1500, fold: "open", foldWidth: null, nap: false, gap: 2, repeat: null };
const FOLDER = "docs/garments";
/** Pictures are drawn at a tenth. */
const SCALE = 0.1;
const GAP = 60;

const path = (points: readonly Point[]): string =>
  `M${points.map(([x, y]) => `${Math.round(x)} ${Math.round(y)}`).join("L")}Z`;

/** Panels side by side, then the lay under them. */
function picture(panels: readonly Panel[], lay: ClothLay | null): string {
  let x = 0;
  let tall = 0;
  const drawn = panels.map((panel) => {
    const outline = panelOutline(panel);
    const box = boxOf(outline);
    const dash = isOf(panel, "back") ? ' stroke-dasharray="28 14"' : "";
    const text = `<path d="${path(outline)}" transform="translate(${Math.round(x - box.left)} ${Math.round(-box.top)})" fill="none" stroke="#14302a" stroke-width="6"${dash}/>`;
    x += box.right - box.left + GAP;
    tall = Math.max(tall, box.bottom - box.top);
    return text;
  });
  const cloth = lay
    ? `<g transform="translate(0 ${Math.round(tall + GAP)})"><rect width="${Math.round(lay.length)}" height="${lay.drawnWidth}" fill="#f3e9d7"/>${lay.placements.map((p) => `<path d="${path(p.outline.map(([px, py]): Point => [px, lay.drawnWidth - py]))}" fill="none" stroke="#0b6e6e" stroke-width="5"/>`).join("")}</g>`
    : "";
  const [wide, high] = [Math.max(x, lay?.length ?? 0), tall + (lay ? GAP + lay.drawnWidth : 0)];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${Math.round(wide * SCALE)}" height="${Math.round(high * SCALE)}" viewBox="-6 -6 ${Math.round(wide + 12)} ${Math.round(high + 12)}">${drawn.join("")}${cloth}</svg>\n`;
}

/** What the garment measures on a wearer, in columns; why it cannot be drawn in one. */
function figures(job: Job, body: Body, labels: readonly string[], tape: Tape): string {
  const derived = derive({ ...job, body });
  if (!derived.ok)
    return `| ${body.name} | ${tell(derived.errors[0]?.says ?? NOTHING, tape)} |${" |".repeat(labels.length)}`;
  const rows = new Map(readingRows(derived.readings).map(({ label, read }) => [label, read(derived.readings)]));
  const faults = derived.checks.filter((c) => c.status === "fault" && isOpen(c)).map((c) => c.label.toLowerCase());
  const cells = labels.map((label) => {
    const mm = rows.get(label);
    return mm === null || mm === undefined ? "" : formatLength(mm, tape);
  });
  return `| ${body.name || "own wearer"} | ${cells.join(" | ")} | ${faults.join(", ") || "none"} |`;
}

function pieceLines(derived: Derived): string {
  return cuttingList(derived)
    .map(
      (line) =>
        `${textOf(line.name)} ${line.count} (${[line.material, line.pairs && "pairs", line.onFold && "on the fold"].filter(Boolean).join(", ")})`,
    )
    .join("; ");
}

const SHOWN = [
  "Waist",
  "Hip",
  "Thigh",
  "Knee, one leg",
  "Hem, one leg",
  "Crotch seam",
  "Side seam",
  "Bust",
  "Hem, all round",
];

function garment(id: string, teaches: string, job: Job): string {
  const derived = derive(job);
  const tape = tapeOf(job.body.unit);
  if (!derived.ok) throw new Error(`${id}: ${tell(derived.errors[0]?.says ?? NOTHING, tape)}`);
  const shapes = shapesOf(job, "shell");
  const laid = shapes.ok ? layWithin(shapes.shapes, CLOTH, 1, { steps: 2500 }) : shapes;
  writeFileSync(
    `${FOLDER}/${id}.svg`,
    picture(
      derived.panels.filter((p) => !p.is.leftOf),
      laid.ok ? laid.lay : null,
    ),
  );
  const own = readingRows(derived.readings).map((r) => r.label);
  const labels = SHOWN.filter((label) => own.includes(label));
  // An own block is drawn for one wearer.
  const bodies = job.block.school === "own" ? [job.body] : [job.body, ...FOUR_BODIES];
  const count = (on: "paper" | "cloth" | "short"): number => cardsOf(derived, on, tape).length;
  return `## ${job.name}

${teaches}

![${job.name}: its panels, and its lay on 150 cm](garments/${id}.svg)

${derived.style.label}, ${derived.pieces.length} pieces: ${pieceLines(derived)}.

${laid.ok ? `On open cloth of 150 cm: ${formatLength(laid.lay.length, tape)}, ${(100 * laid.lay.utilisation).toFixed(0)} % used; no lay is under ${formatLength(laid.lay.bound, tape)}.` : tell(laid.errors[0]?.says ?? NOTHING, tape)} Cards: ${count("paper")} on paper, ${count("cloth")} on cloth, ${count("short")} from a cut block. ${makingOrder(derived, { ...USUAL_SCHOOLS, ...job.making }).length} steps of making.

| Wearer | ${labels.join(" | ")} | Faults |
| --- | ${labels.map(() => "---").join(" | ")} | --- |
${bodies.map((body) => figures(job, body, labels, tape)).join("\n")}
`;
}

mkdirSync(FOLDER, { recursive: true });
const parts = WORKED_EXAMPLES.map(({ id, teaches, job }) => {
  const read = readJob(job);
  if (read.kind !== "job") throw new Error(`${id} is not read`);
  console.log(id);
  return garment(id, teaches, read.job);
});
writeFileSync(
  "docs/garments.md",
  `# The worked garments

Written by \`npm run garments\`: nothing here is typed by hand. Outlines run at a tenth, the front whole, the back dashed; the lay
below them is what the program finds in 2,500 steps. Lengths are on the tape of the garment's own card. Faults on the four other
wearers are what the checks say of the style as it is, with no number changed for them.

${parts.join("\n")}`,
);
