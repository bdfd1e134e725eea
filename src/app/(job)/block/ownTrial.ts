import { ownBodice, type OwnBodice } from "@/core/bodice";
import { ownBlock, type OwnBlock, type OwnPanelLandmarks } from "@/core/drafting";
import type { BroughtIn, FoundOutline, GuessedPanels } from "@/core/files/bringIn";
import { MOST_DARTS, outlineData, type TracedPanel } from "@/core/tracing";
import { Refusal, say, type Mm, type Sentence, type Unit } from "@/core/units";

export type Outlines = Extract<BroughtIn, { kind: "outlines" }>;
export type BodicePlaces = OwnBodice["landmarks"]["front"];

/** What is brought in: the block of the legs, or a bodice. */
export type Brought = "legs" | "bodice";

/** What a drawing was said to be: which outline is which, and where each place lies on it. */
export interface Said {
  readonly panels: GuessedPanels;
  readonly legs: Readonly<Record<string, OwnPanelLandmarks>>;
  readonly bodice: Readonly<Record<string, BodicePlaces>>;
  /** Likely darts that are not to be taken as darts, by outline and number. */
  readonly noDarts: ReadonlySet<string>;
  readonly allowance: string | null;
  readonly unit: Unit;
  readonly name: string | undefined;
}

export type Tried =
  | { readonly what: "legs"; readonly own: OwnBlock; readonly hip: Mm; readonly depth: Mm }
  | { readonly what: "bodice"; readonly own: OwnBodice; readonly bust: Mm; readonly waist: Mm }
  | { readonly what: "refused"; readonly says: Sentence };

/** How a likely dart of an outline is called. */
export const dartKey = (outline: FoundOutline, index: number): string => `${outline.id}/${index}`;

function panelOf(o: FoundOutline, noDarts: ReadonlySet<string>): TracedPanel {
  const darts = [...o.darts, ...o.inner.darts.filter((_, i) => !noDarts.has(dartKey(o, i)))];
  return {
    path: outlineData(o.path),
    ...(o.notches.length > 0 && { notches: o.notches.slice(0, 60).map(([x, y]): [number, number] => [x, y]) }),
    ...(darts.length > 0 && { darts: darts.map((d) => d.map((p) => [...p])) as TracedPanel["darts"] }),
  };
}

/** Makes the block or bodice as it stands, or says what is still wrong with it. */
export function tryOut(what: Brought, outlines: Outlines, said: Said): Tried {
  const fail = (says: Sentence): Tried => ({ what: "refused", says });
  const { panels: chosen } = said;
  if (chosen.front === chosen.back) return fail(say`Front and back are the same outline. Choose two.`);
  const found = (id: string): FoundOutline | undefined => outlines.found.find((o) => o.id === id);
  const [front, back] = [found(chosen.front), found(chosen.back)];
  if (!front || !back) return fail(say`Choose which outline is the front and which the back.`);
  const panels = { front: panelOf(front, said.noDarts), back: panelOf(back, said.noDarts) };
  const over = (["front", "back"] as const).find((half) => (panels[half].darts?.length ?? 0) > MOST_DARTS);
  if (over)
    return fail(say`The ${over} has more than ${MOST_DARTS} darts. Leave out those that are not sewn as darts.`);
  const whole = {
    ...(said.name ? { name: said.name.slice(0, 120) } : {}),
    panels,
    ...(said.allowance === null ? {} : { allowance: said.allowance }),
  };
  try {
    return what === "legs" ? triedLegs(whole, front, back, said) : triedBodice(whole, front, back, said);
  } catch (error) {
    if (error instanceof Refusal) return fail(error.says);
    throw error;
  }
}

type Whole = Pick<OwnBlock, "name" | "panels"> & { readonly allowance?: string };

function triedLegs(whole: Whole, front: FoundOutline, back: FoundOutline, { legs, unit }: Said): Tried {
  const [f, b] = [legs[front.id], legs[back.id]] as [OwnPanelLandmarks, OwnPanelLandmarks];
  const own: OwnBlock = { ...whole, landmarks: { front: f, back: b } };
  const { numbers } = ownBlock(own, unit);
  return {
    what: "legs",
    own,
    hip: 2 * ((numbers.frontWidth?.mm ?? 0) + (numbers.backWidth?.mm ?? 0)),
    depth: numbers.crotchDepth?.mm ?? 0,
  };
}

function triedBodice(whole: Whole, front: FoundOutline, back: FoundOutline, { bodice, unit }: Said): Tried {
  const [f, b] = [bodice[front.id], bodice[back.id]] as [BodicePlaces, BodicePlaces];
  const { bustPoint: _, ...behind } = b;
  const own: OwnBodice = { ...whole, landmarks: { front: f, back: behind } };
  const { numbers } = ownBodice(own, unit);
  return { what: "bodice", own, bust: numbers.bust?.mm ?? 0, waist: numbers.waist?.mm ?? 0 };
}
