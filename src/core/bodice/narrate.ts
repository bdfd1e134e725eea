import { Drafter, type Numbers, type Step } from "../drafting";
import { edgesWithRole, findEdge, type Panel } from "../pattern";
import { pathLength, pointDistance, type Path, type Point } from "../geometry";
import { named, quantity, say, type Quantity } from "../units";
import type { DrawnBodice } from "./halves";
import { frontLonger, type BodicePlan } from "./plan";

interface Halves {
  readonly front: Panel;
  readonly back: Panel;
}

/** Seam lines of a panel by role. */
const paths = (panel: Panel, ...roles: readonly Parameters<typeof edgesWithRole>[1][]): readonly Path[] =>
  roles.flatMap((role) => edgesWithRole(panel, role).map((edge) => edge.path));

const at = (panel: Panel, ...names: readonly string[]): Readonly<Record<string, Point>> =>
  Object.fromEntries(
    names.flatMap((name) => {
      const p = panel.landmarks[name];
      return p ? [[name, p] as const] : [];
    }),
  );

/** Level and upright guides through a place, from the centre line out and down to the waist. */
function guidesTo(panel: Panel, name: string): readonly (readonly Point[])[] {
  const [p, centre] = [panel.landmarks[name], panel.landmarks.waistCentre];
  if (!p || !centre) return [];
  return [
    [
      [centre[0], p[1]],
      [p[0], p[1]],
    ],
    [
      [p[0], p[1]],
      [p[0], 0],
    ],
  ];
}

/** The sums of one half, under names of its own. */
function numbersOf(plan: BodicePlan, half: "front" | "back", sums: Numbers): Record<string, Quantity> {
  const { neck, waist, darts } = plan;
  const share = darts[half];
  const length = half === "back" ? plan.napeToWaist : plan.frontLength;
  const name = (key: string): string => `${half}${key}`;
  return {
    [name("Length")]:
      half === "back"
        ? quantity(length, "from the nape to the waist")
        : quantity(length, "from the neck's end of the shoulder to the waist"),
    [name("NeckWidth")]: quantity(neck.width, "so that the whole neck edge is as long as the neck"),
    [name("NeckDepth")]: quantity(neck[half], "so that the whole neck edge is as long as the neck"),
    [name("Waist")]: sums.waistQuarter ?? quantity(waist[half], "sewn waist of the half"),
    [name("Darts")]: quantity(share.count * share.intake, "of the surplus of bust over waist"),
    [name("ArmholeIn")]: quantity(plan.armholeIn[half], "inside the shoulder's end"),
  };
}

/** How the bust dart is drawn, on the half that has one. */
function tellBustDart(drafter: Drafter, panel: Panel, plan: BodicePlan, drawn: DrawnBodice): void {
  const dart = findEdge(panel, "bust-dart");
  if (dart && drawn.front.sideDart) {
    const { from, to } = drawn.front.sideDart;
    drafter.number("bustDart", quantity(pointDistance(from, to), "mouth at the side, so that both sides agree"));
    drafter.number("frontLonger", quantity(frontLonger(plan), "front over the bust - back - neck depth"));
    drafter.step(
      panel.id,
      "Bust dart: the front is {frontLonger} longer than the back. Turn the part below about the tip until the closed side is as long as the back's: its mouth is {bustDart}.",
      { seams: [dart.path], guides: panel.lines.filter((l) => l.kind === "dart").map((l) => l.points) },
    );
  }
}

/**
 * How front and back of a bodice are drawn: one act after the other, each with what it puts on the paper. `sums` are
 * the numbers of its plan. Bodice panels are named as they are in the pattern.
 */
export function bodiceSteps(
  plan: BodicePlan,
  drawn: DrawnBodice,
  { front, back }: Halves,
  sums: Numbers,
): { readonly steps: readonly Step[]; readonly numbers: Numbers } {
  const drafter = new Drafter();
  // The legs have a waist quarter of their own.
  const { waistQuarter: _, ...others } = sums;
  for (const [name, value] of Object.entries({
    ...others,
    ...numbersOf(plan, "back", sums),
    ...numbersOf(plan, "front", sums),
  }))
    drafter.number(name, value);
  for (const [half, panel] of [
    ["back", back],
    ["front", front],
  ] as const) {
    const isBack = half === "back";
    drafter.step(
      panel.id,
      isBack
        ? "Draw the centre back, {backLength} from the nape to the waist, and square across at the waist."
        : "Draw the centre front and square across at the waist; the neck's end of the shoulder lies {frontLength} above it.",
      {
        points: at(panel, "waistCentre"),
        guides: guidesTo(panel, isBack ? "neckCentre" : "neckEnd"),
      },
    );
    drafter.step(
      panel.id,
      say`Neck: ${named(`${half}NeckWidth`)} out from the centre and ${named(`${half}NeckDepth`)} deep. Curve it square to the centre and square to the shoulder.`,
      { points: at(panel, "neckCentre", "neckEnd"), seams: paths(panel, "neck") },
    );
    drafter.step(panel.id, "Shoulder: down its slope from the neck's end, {shoulder} long.", {
      points: at(panel, "shoulderEnd"),
      seams: paths(panel, "shoulder"),
    });
    drafter.step(
      panel.id,
      "Underarm: {underarm} below the neck's end of the shoulder, {bustQuarter} out from the centre.",
      { points: at(panel, "underarm"), guides: guidesTo(panel, "underarm") },
    );
    drafter.step(
      panel.id,
      say`Armhole: square to the shoulder, upright ${named(`${half}ArmholeIn`)} inside its end, and square to the side.`,
      { seams: paths(panel, "armhole") },
    );
    if (!isBack) {
      drafter.number("bustOut", quantity(plan.bustX, "half the bust span"));
      drafter.number("bustDown", quantity(plan.bustBelow, "along the front from the neck's end of the shoulder"));
      drafter.step(panel.id, "Bust point: {bustOut} out from the centre, {bustDown} below the neck's end.", {
        points: at(panel, "bustPoint"),
        guides: guidesTo(panel, "bustPoint"),
      });
    }
    tellBustDart(drafter, panel, plan, drawn);
    const hasDarts = plan.darts[half].count > 0;
    drafter.number(
      `${half}Side`,
      quantity(
        paths(panel, "side").reduce((sum, path) => sum + pathLength(path), 0),
        isBack ? "as drawn" : "as the back's",
      ),
    );
    drafter.step(
      panel.id,
      say`${hasDarts ? say`Waist darts take ${named(`${half}Darts`)}; with them closed the` : "The"} sewn waist is ${named(`${half}Waist`)}, one curve square to the centre and to the side. The sewn side is ${named(`${half}Side`)}.`,
      {
        points: at(panel, "waistSide"),
        seams: paths(panel, "side", "waist", "dart", "centre", "fold"),
        guides: panel.lines.filter((l) => l.kind === "dart").map((l) => l.points),
      },
    );
  }
  return { steps: drafter.steps, numbers: drafter.numbers };
}
