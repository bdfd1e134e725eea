import { phrase } from "../words";
import { zipSync, type Zippable } from "fflate";
import type { Body } from "../body";
import { derive, type Derived } from "../derive";
import { fileStem, type HandedFile, type Job, type PrintSet } from "../files";
import { writeDxf } from "../files/drawing/dxf";
import { writeSvg } from "../files/drawing/svg";
import { printedPieces } from "../files/paper/pagePlan";
import { paperWord } from "../files/paper/papers";
import { printPdf } from "../files/paper/printPdf";
import type { PrintPiece } from "../files/paper/sheet";
import { readingRows } from "../inspect";
import { Refusal, say, type Mm, NOTHING, typed } from "../units";
import { handOver, printSetOf, type HandOver } from "./handOver";
import { MOST_SIZES } from "./sizeLimit";

/** One style drafted for one of several wearers. */
export interface Size {
  readonly name: string;
  readonly job: Job;
  readonly derived: Derived;
}

/** A measure of the garment in every size; null where it has none. */
export interface SizeRow {
  readonly label: string;
  readonly mm: readonly (Mm | null)[];
}

/**
 * A job's style drafted for several wearers, the job's own first. What fittings changed belongs to the job's own wearer and
 * is left out for the others. Throws Refusal, with the wearer's name, where one cannot be drawn, and for own blocks, which
 * are drawn for one wearer.
 */
export function sizesOf(job: Job, bodies: readonly Body[]): readonly Size[] {
  if (job.block.school === "own" && bodies.length > 0)
    throw new Refusal(
      "block.school",
      say`An own block is drawn for one wearer. Choose a school on the Block stage to draft this style for others.`,
    );
  if (bodies.length >= MOST_SIZES)
    throw new Refusal("sizes", say`A set has at most ${String(MOST_SIZES)} sizes. Choose fewer wearers.`);
  const { fittings: _, ...unfitted } = job;
  const jobs: readonly Job[] = [job, ...bodies.map((body): Job => ({ ...unfitted, body }))];
  const names = namesOf(jobs.map(({ body }) => body));
  return jobs.map((own, i): Size => {
    const name = names[i] as string;
    const derived = derive(own);
    if (derived.ok) return { name, job: own, derived };
    throw new Refusal(derived.errors[0]?.path ?? "", say`${typed(name)}: ${derived.errors[0]?.says ?? NOTHING}`);
  });
}

/** Sizes by their wearers' names; those of one name, or of none, are numbered. */
function namesOf(bodies: readonly Body[]): readonly string[] {
  const named = bodies.map(({ name }, i) => name.trim() || phrase`Size ${i + 1}`);
  return named.map((name, i) =>
    named.indexOf(name) === i ? name : `${name} ${named.slice(0, i + 1).filter((n) => n === name).length}`,
  );
}

/** What the garment measures in every size, by level. */
export function sizeRows(sizes: readonly Size[]): readonly SizeRow[] {
  const first = sizes[0]?.derived.readings;
  return first
    ? readingRows(first).map(({ label, read }) => ({ label, mm: sizes.map((s) => read(s.derived.readings)) }))
    : [];
}

/** The pieces of the first size with all sizes' outlines over each other, each in its panel's own frame. */
export function nestedPieces(sizes: readonly Size[]): readonly PrintPiece[] {
  const ids = [...new Set(sizes.flatMap((s) => s.derived.pieces.map((p) => p.id)))];
  return ids.flatMap((id): PrintPiece[] => {
    const own = sizes.flatMap(({ name, derived }) => {
      const piece = derived.pieces.find((p) => p.id === id);
      return piece ? [{ name, piece }] : [];
    });
    const [first] = own;
    if (!first) return [];
    return [
      {
        ...first.piece,
        label: [first.piece.name, own.map((o) => o.name).join(", "), ...first.piece.label.slice(1, 2)],
        sizes: own.map(({ name, piece }) => ({ name, cutLine: piece.cutLine, seamLine: piece.seamLine })),
      },
    ];
  });
}

const nestedSet = (sizes: readonly Size[]): PrintSet => {
  const [first] = sizes as readonly [Size];
  const set = printSetOf(first.job, first.derived);
  return {
    title: phrase`${first.job.name || "Unnamed job"}, ${sizes.length} sizes`,
    pieces: nestedPieces(sizes),
    notices: set.notices,
  };
};

/** All sizes nested in one file. The formats are those of paper and drawing. */
export async function nestedFile(sizes: readonly Size[], how: HandOver): Promise<HandedFile> {
  const all = nestedSet(sizes);
  const stem = `${fileStem(sizes[0]?.job.name ?? "")}-sizes`;
  const text = (content: string): Uint8Array => new TextEncoder().encode(content);
  switch (how.format) {
    case "svg": {
      const set = { ...all, pieces: printedPieces(all.pieces, how) };
      return { name: `${stem}.svg`, type: "image/svg+xml", bytes: text(writeSvg(set)) };
    }
    case "dxf": {
      const sets = sizes.map(({ name, job, derived }) => ({
        size: name,
        set: { ...printSetOf(job, derived), pieces: printedPieces(derived.pieces, how) },
      }));
      return { name: `${stem}-${how.dxf}.dxf`, type: "image/vnd.dxf", bytes: text(writeDxf(sets, how.dxf)) };
    }
    default:
      return {
        name: `${stem}-${paperWord(how.paper)}.pdf`,
        type: "application/pdf",
        bytes: await printPdf(all, how),
      };
  }
}

/** A file for every size, together in one zip. */
export async function eachFile(sizes: readonly Size[], how: HandOver): Promise<HandedFile> {
  const files: Zippable = {};
  for (const { name, job, derived } of sizes) {
    const file = await handOver(job, derived, how);
    files[`${fileStem(name)}-${file.name}`] = file.bytes;
  }
  return {
    name: `${fileStem(sizes[0]?.job.name ?? "")}-sizes.zip`,
    type: "application/zip",
    bytes: zipSync(files, { level: 6 }),
  };
}
