import { panelOutline, roleLength, type Panel } from "../pattern";
import { polygonSections } from "../geometry";
import { drawnLeg, passingAbove, turnGirth, type LegPlan, type Numbers } from "../drafting";
import { asSentence, joined, quantity, say, type Mm, type Quantity, type Sentence, type Words } from "../units";
import { MOST_LEVELS, SAME_LEVEL } from "./legLevels";
import type { Made } from "./move";

/** How the widths of a line are called among its numbers, each with its level. */
const WIDTHS: readonly (readonly [girth: string, level: string])[] = [
  ["knee", "start"],
  ...Array.from({ length: MOST_LEVELS }, (_, i) => [`girth${i + 1}`, `level${i + 1}`] as const),
];

const widthsOf = (numbers: Numbers): (readonly [girth: string, level: string])[] =>
  WIDTHS.filter(([girth]) => numbers[girth] !== undefined);

/** True where the leg is led through a girth at a level: above its hem, and by no other line's width. */
const isDrawnAt = (plan: LegPlan, level: Mm, girth: Mm): boolean =>
  level < plan.levels.hem &&
  [
    ...drawnLeg(plan).turns.map((t) => [t.level, turnGirth(t)] as const),
    ...(plan.thigh ? [[plan.levels.crotch + plan.thigh.below, plan.thigh.girth] as const] : []),
  ].some(([at, round]) => Math.abs(at - level) < 0.5 && Math.abs(round - girth) < 0.5);

/** What the move does, in words: falls straight, flares, tapers, or is led through several widths. */
export function shapeWords({ plan, numbers, asked }: Made): Sentence {
  const all = widthsOf(numbers).sort((a, b) => (numbers[a[1]]?.mm ?? 0) - (numbers[b[1]]?.mm ?? 0));
  const made = all.filter(([girth, level]) => isDrawnAt(plan, numbers[level]?.mm ?? 0, asked[girth]?.mm ?? 0));
  const lost = all.filter((width) => !made.includes(width));
  const passed = lost.map(
    ([girth, level]) => say`${whyNot(plan, numbers, level)}: ${toldAs(numbers, girth)} there is passed over.`,
  );
  const replaced = numbers.replaced1 ? [asSentence("It takes the place of {replaced1} asked there before.")] : [];
  return joined([wayOf(plan, numbers, made), ...passed, ...replaced], " ");
}

const toldAs = (numbers: Numbers, name: string): Quantity => numbers[name] as Quantity;

/** A level by name, or as so far below the waist. */
const placeOf = (plan: LegPlan, numbers: Numbers, level: string): Words =>
  Math.abs((numbers[level]?.mm ?? 0) - plan.levels.knee) < 0.5
    ? "the knee line"
    : say`${toldAs(numbers, level)} below the waist`;

/** Why a width is not drawn at its level. */
function whyNot(plan: LegPlan, numbers: Numbers, level: string): Sentence {
  const { mm } = toldAs(numbers, level);
  const where = placeOf(plan, numbers, level);
  if (mm >= plan.levels.hem - 0.5) return say`The leg ends above ${where}`;
  return drawnLeg(plan).turns.some((t) => Math.abs(t.level - mm) < SAME_LEVEL)
    ? say`Another line leads the leg at ${where}`
    : say`Too little of the leg is left below ${where} to turn there`;
}

/** By how much a leg goes out from its last turn to the hem at each edge, with the names they have among the numbers. */
export function edgesOut(plan: LegPlan): Numbers {
  const above = (panel: "front" | "back") => passingAbove(plan, panel, Infinity);
  const out = (panel: "front" | "back", seam: "side" | "inseam"): Mm => {
    const by = plan[panel].hem[seam] - above(panel)[seam];
    return seam === "side" ? by : 0 - by;
  };
  const q = (mm: Mm): Quantity => quantity(mm, "from the width above to the hem");
  return {
    outSide: q(out("front", "side")),
    outInseam: q(out("front", "inseam")),
    outBackSide: q(out("back", "side")),
    outBackInseam: q(out("back", "inseam")),
  };
}

/** How far the edges go out, in words: alike on all four, alike on front and back, or each its own. */
function outWords(numbers: Numbers): string {
  const at = (name: string): Mm => numbers[name]?.mm ?? 0;
  const alike = (a: string, b: string): boolean => Math.abs(at(a) - at(b)) < 0.5;
  if (!alike("outSide", "outBackSide") || !alike("outInseam", "outBackInseam"))
    return "{outSide} at the side and {outInseam} at the inseam of the front, {outBackSide} and {outBackInseam} at the back's";
  return alike("outSide", "outInseam")
    ? "{out} on each of the four edges"
    : "{outSide} on each side and {outInseam} on each inseam";
}

function wayOf(plan: LegPlan, numbers: Numbers, made: readonly (readonly [string, string])[]): Sentence {
  const [one] = made;
  const hangs = {
    crease: "shared about the crease",
    offset: "shared about the crease",
    side: "hung from the side",
    inseam: "hung from the inseam",
    kept: "about the block's own middle",
  }[plan.hang];
  if (!one)
    return plan.turns.length === 0 || drawnLeg(plan).turns.length === 0
      ? say`Let side and inseam run straight from hip and crotch point to the hem, {hem} round.`
      : say`Bring the hem to {hem}.`;
  const at = ([girth, level]: readonly [string, string]): readonly [Quantity, Words] => [
    toldAs(numbers, girth),
    placeOf(plan, numbers, level),
  ];
  if (made.length > 1) {
    const way = made.map(at).map(([girth, where]) => say`${girth} at ${where}`);
    return say`Lead the leg through ${joined(way, ", ")}, and {hem} at the hem, ${hangs}.`;
  }
  const [girth, where] = at(one);
  const hem = numbers.hem?.mm ?? 0;
  if (Math.abs(girth.mm - hem) < 0.5)
    return say`Let the leg fall straight from ${where}, ${girth} round there and at the hem, ${hangs}.`;
  return hem > girth.mm
    ? say`Bring the leg to ${girth} round at ${where} and flare it from there, ${outWords(numbers)}, to {hem} at the hem.`
    : say`Bring the leg to ${girth} round at ${where} and taper it to {hem} at the hem, ${hangs}.`;
}

/** From inseam to side at a level, over a hem that rises above it between them. */
function betweenSeams(panel: Panel, level: Mm): Mm {
  const sections = polygonSections(panelOutline(panel), level);
  return (sections.at(-1)?.[1] ?? 0) - (sections[0]?.[0] ?? 0);
}

/** What was asked, as it is drawn once the length is known: a width below the hem keeps its number and is passed over. */
export function shapeDrawn(
  plan: LegPlan,
  numbers: Numbers,
  { front, back }: { readonly front: Panel; readonly back: Panel },
): Numbers {
  const at = (level: Mm): Mm => betweenSeams(front, level) + betweenSeams(back, level);
  const measured = (girth: Quantity, mm: Mm): Quantity => quantity(mm, girth.sum, {}, girth.mm);
  const drawn = { ...numbers };
  for (const [girth, level] of widthsOf(numbers)) {
    const place = toldAs(numbers, level);
    if (isDrawnAt(plan, place.mm, numbers[girth]?.mm ?? 0))
      drawn[girth] = measured(toldAs(numbers, girth), at(place.mm));
  }
  drawn.hem = measured(toldAs(numbers, "hem"), roleLength(front, "hem") + roleLength(back, "hem"));
  return { ...drawn, hemLevel: quantity(plan.levels.hem, "where the leg ends") };
}
