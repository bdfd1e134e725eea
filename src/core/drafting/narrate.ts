import { asSentence, joined, named, say, type Sentence, type Words } from "../units";
import { edgeOf, edgesWithRole, landmarkOf, type Panel } from "../pattern";
import { pointFlipped, type Path, type Point, type Segment } from "../geometry";
import { BACK_MAKINGS } from "./backs";
import type { CrotchCurve } from "./crotch";
import type { DrawnLegs } from "./drawn";
import type { Drafter } from "./drafter";
import type { LegPlan } from "./plan";
import type { ResolvedRules } from "./rules";

/** How far guide lines run beyond the panel. */
const BEYOND = 25;

interface Scene {
  readonly panel: Panel;
  readonly points: (...names: string[]) => Record<string, Point>;
  /** A level line across the panel. */
  readonly level: (y: number) => readonly Point[];
  readonly crotch: CrotchCurve | null;
  /** From the canonical frame to the panel's own. */
  readonly own: (p: Point) => Point;
  readonly side: { readonly upper: Path; readonly lower: Path };
  readonly crotchCurve: Path;
  readonly centreLine: Path;
  readonly waist: Path[];
}

function sceneOf(panel: Panel, crotch: CrotchCurve | null): Scene {
  const mirrored = panel.is.root === "front";
  const xs = Object.values(panel.landmarks).map((p) => p[0]);
  const [left, right] = [Math.min(...xs) - BEYOND, Math.max(...xs) + BEYOND];
  const [upper, ...lower] = edgeOf(panel, "side").path;
  const [curve, ...centre] = edgeOf(panel, "crotch").path;
  return {
    panel,
    points: (...names) =>
      Object.fromEntries(names.filter((n) => panel.landmarks[n]).map((n) => [n, landmarkOf(panel, n)])),
    level: (y) => [
      [left, y],
      [right, y],
    ],
    crotch,
    own: mirrored ? pointFlipped : (p) => p,
    side: { upper: [upper as Segment], lower },
    crotchCurve: [curve as Segment],
    centreLine: centre,
    waist: edgesWithRole(panel, "waist")
      .concat(edgesWithRole(panel, "dart"))
      .map((e) => e.path),
  };
}

/** Straight guides along both legs of every dart. */
const dartGuides = (panel: Panel): readonly (readonly Point[])[] =>
  panel.lines.filter((l) => l.kind === "dart").map((l) => l.points);

function crotchDrawing(scene: Scene): { guides: readonly (readonly Point[])[]; points: Record<string, Point> } {
  const { crotch, own, points } = scene;
  if (!crotch) return { guides: [], points: points("crotchPoint") };
  return {
    guides: [[own(crotch.corner), own(crotch.onDiagonal)]],
    points: { ...points("curveStart", "crotchPoint"), hollow: own(crotch.onDiagonal) },
  };
}

const CURVE_TEXT = {
  diagonal: (panel: string): Sentence =>
    say`${named(`${panel}Hollow`)} from the corner on the diagonal, square to the inseam.`,
  hipPoint: (panel: string): Sentence =>
    say`${named(`${panel}Steer`)} outside the centre line on the hip line, square to the inseam; it passes the corner at ${named(`${panel}Hollow`)}.`,
  outAndUp: (panel: string): Sentence =>
    say`${named(`${panel}Steer`)} up the centre line, round and square to the inseam; it passes the corner at ${named(`${panel}Hollow`)}.`,
} as const;

const SHAPING_TEXT = {
  none: "Waist {waistQuarter} without a dart: side and centre take all of the shaping.",
  hipWide: "Leave the waist as wide as the hip, {waistHipWide} all round, for gathers, pleats or elastic.",
  centreBack:
    "Let the side run straight up; the centre back takes in {centreBackIntake}, and {waistLeft} stays to be fitted on the cloth.",
  frontSide:
    "Shape the front to {waistQuarter} at its side, which takes {sideTakes}; the back keeps that side, its centre takes in {centreBackIntake}, and {waistLeft} stays to be fitted on the cloth.",
} as const;

function shapingText(panel: "front" | "back", rules: ResolvedRules): Words {
  if (rules.waist.shaping !== "darts") return SHAPING_TEXT[rules.waist.shaping];
  return say`Waist {waistQuarter} with the darts closed; darts take ${named(`${panel}DartIntake`)}, ${named(`${panel}DartLength`)} long, ${DART_TEXT[rules.dart.at]}, ${RUN_TEXT[rules.dart.run]}; the side takes the rest.`;
}

const DART_TEXT = {
  mid: "in the middle of the waist",
  crease: "on the crease",
  bust: "{dartAt} from the centre, half of the bust span",
  fixed: "{dartAt} from the centre",
} as const;

const RUN_TEXT = { square: "square to the waist", parallel: "parallel to the centre line" } as const;

const sharesCrease = (rules: ResolvedRules): boolean =>
  rules.leg.fall === "shared" && (rules.hang.from === "crease" || rules.hang.from === "offset");

function hangText(panel: string, { hang }: ResolvedRules): Words {
  if (hang.from === "side" || hang.from === "inseam") return HANG_TEXT[hang.from];
  const half = named(`${panel}LegHalf`);
  return hang.from === "crease"
    ? say`Share the leg about the crease: {blockLegGirth} round at knee and hem, ${half} on this panel to each side.`
    : say`Share the leg about the crease, which is set off from the middle: {blockLegGirth} round at knee and hem, ${half} on this panel to each side.`;
}

const HANG_TEXT = {
  side: "Hang the leg from the side, {hangBy} in from the hip: {blockLegGirth} round, the rest at the inseam.",
  inseam:
    "Hang the leg from the inseam, {hangBy} in from the crotch point: {blockLegGirth} round, the rest at the side.",
} as const;

/** What of where the leg hangs from counts for one that falls straight. */
const FALL_TEXT = {
  offset: "The crease is set off {hangBy} from the middle of each panel, toward the side.",
  side: "A leg that falls straight does not hang in from its hip: the {hangBy} are not used.",
  inseam: "A leg that falls straight does not hang in from its crotch point: the {hangBy} are not used.",
} as const;

function fallText({ hang }: ResolvedRules): Words {
  const down =
    "Let side and inseam fall straight down from hip and crotch point: {blockLegGirth} round, both panels together.";
  return hang.by === 0 || hang.from === "crease"
    ? down
    : joined([asSentence(down), asSentence(FALL_TEXT[hang.from])], " ");
}

/** Writes the construction down step by step: sentence, sums, points, guide lines, and the seam lines as they become final. */
export function narrate(drafter: Drafter, rules: ResolvedRules, plan: LegPlan, legs: DrawnLegs): void {
  const front = sceneOf(legs.front, legs.crotches?.front ?? null);
  const back = sceneOf(legs.back, legs.crotches?.back ?? null);
  narrateFront(drafter, rules, plan, front);
  narrateBack(drafter, rules, plan, back);
}

type Tell = (text: Words, drawing: Parameters<Drafter["step"]>[2]) => void;

/** The crease, and the levels squared off it. */
function narrateLevels(step: Tell, { levels }: LegPlan, scene: Scene): void {
  const { points, panel } = scene;
  const hemY = landmarkOf(panel, "creaseHem")[1];
  step("Draw the crease upright and square a waist line across its top.", {
    guides: [
      [
        [0, Math.min(levels.waist, 0) - BEYOND],
        [0, hemY + BEYOND],
      ],
      scene.level(0),
    ],
  });
  if (levels.waist !== 0)
    step(
      levels.waist < 0
        ? "Draw the top edge {waistLevel} above the waist line; all other levels still count from the waist line."
        : "Draw the top edge below the waist line; all other levels still count from the waist line.",
      { guides: [scene.level(levels.waist)] },
    );
  step("Hip line {hipLevel} below the waist.", {
    points: points("hipSide", "hipCentre"),
    guides: [scene.level(levels.hip)],
  });
  step("Crotch line {crotchDepth} below the waist.", {
    points: points("creaseCrotch"),
    guides: [scene.level(levels.crotch)],
  });
  step("Knee line {kneeLevel} and hem line {blockLength} below the waist.", {
    points: points("creaseHem"),
    guides: [scene.level(levels.knee), scene.level(hemY)],
  });
}

function narrateFront(drafter: Drafter, rules: ResolvedRules, plan: LegPlan, scene: Scene): void {
  const { levels } = plan;
  const { points, panel } = scene;
  const step: Tell = (text, drawing) => drafter.step("front", text, drawing);
  narrateLevels(step, plan, scene);
  const centreX = scene.own([plan.front.centreAtCrotch, 0])[0];
  const sideX = scene.own([plan.front.hipX, 0])[0];
  step(
    rules.hang.from === "crease"
      ? "On hip and crotch line mark the side {creaseToSide} from the crease, and from it the front width {frontWidth} to the centre front. So the crease halves width and extension together."
      : "On hip and crotch line mark the front width {frontWidth} from the side to the centre front.",
    {
      points: points("hipSide", "hipCentre"),
      guides: [
        [
          [centreX, levels.waist],
          [centreX, levels.crotch],
        ],
        [
          [sideX, levels.waist],
          [sideX, levels.crotch],
        ],
      ],
    },
  );
  step("Extend the crotch line by {frontExtension} beyond the centre front.", {
    points: points("crotchPoint"),
    guides: [[[centreX, levels.crotch], landmarkOf(panel, "crotchPoint")]],
  });
  step(
    rules.dropAfterBack
      ? "At the waist bring the centre front in {frontIn}. Drop it {frontDrop} only after the back is made."
      : "At the waist bring the centre front in {frontIn} and drop it {frontDrop}.",
    { points: points("waistCentre"), seams: [scene.centreLine] },
  );
  step(say`Curve the crotch from the centre line to the crotch point, ${CURVE_TEXT[rules.curve.steer]("front")}`, {
    ...crotchDrawing(scene),
    seams: [scene.crotchCurve],
  });
  step(
    rules.leg.fall === "down"
      ? fallText(rules)
      : say`${hangText("front", rules)} The back is {backExtra} wider than the front.`,
    { points: points("kneeSide", "kneeInseam", "hemSide", "hemInseam"), seams: [edgeOf(panel, "hem").path] },
  );
  step(
    plan.straightInseam
      ? "Rule the inseam straight from the crotch point to the knee, and on to the hem."
      : "Draw the inseam from the crotch point through the knee to the hem in one line.",
    { points: points("crotchPoint", "kneeInseam"), seams: [edgeOf(panel, "inseam").path] },
  );
  step(
    plan.thigh
      ? "Draw the side from the hip through the thigh line, {thighGirth} round, and the knee to the hem."
      : "Draw the side from the hip through the knee to the hem, upright at the hip.",
    { points: points("hipSide", "kneeSide"), seams: [scene.side.lower] },
  );
  step(say`Raise the side {sideRise}. ${shapingText("front", rules)}`, {
    points: points("waistSide", "waistCentre"),
    guides: dartGuides(panel),
    seams: [...scene.waist, scene.side.upper],
  });
}

function narrateBack(drafter: Drafter, rules: ResolvedRules, plan: LegPlan, scene: Scene): void {
  const { points, panel } = scene;
  const { levels } = plan;
  const making = BACK_MAKINGS[rules.back.how];
  const step = (text: Words, drawing: Parameters<Drafter["step"]>[2]): void => drafter.step("back", text, drawing);
  const corner = scene.crotch ? scene.own(scene.crotch.corner) : landmarkOf(panel, "hipCentre");
  step(making.centreText, {
    points: points("waistCentre"),
    guides: [
      scene.level(0),
      scene.level(levels.hip),
      scene.level(levels.crotch),
      scene.level(levels.knee),
      scene.level(landmarkOf(panel, "creaseHem")[1]),
      [corner, landmarkOf(panel, "waistCentre")],
    ],
    seams: [scene.centreLine],
  });
  step(
    plan.back.sideAtCrotch === null
      ? making.widthText
      : say`${making.widthText} On the crotch line it is {backWidthAtCrotch}: what the hip has more stays at the hip line.`,
    { points: points("hipSide", "hipCentre") },
  );
  step(
    "From the back's own centre line mark the extension {backExtension}, {backExtensionMore} more than the front's.",
    {
      points: points("crotchPoint"),
      guides: [[corner, [landmarkOf(panel, "crotchPoint")[0], levels.crotch]]],
    },
  );
  step(
    plan.dropAsked > 0
      ? "Lower the back crotch point {backCrotchDrop}, so that the inseams agree; that takes {reconcilingTook} back of what was asked."
      : "Lower the back crotch point {backCrotchDrop}, so that the inseams agree.",
    { points: points("crotchPoint") },
  );
  if (rules.back.lower === "rise" && rules.back.drop > 0)
    step("Raise the back waist {riseForLower} more: the back crotch line is as much lower from there.", {
      points: points("waistCentre"),
    });
  step(say`Curve the back crotch, ${CURVE_TEXT[rules.curve.steer]("back")}`, {
    ...crotchDrawing(scene),
    seams: [scene.crotchCurve],
  });
  step(
    sharesCrease(rules)
      ? "Mark knee and hem, {backLegHalf} to each side of the back's crease, and draw inseam and side as on the front."
      : "Mark knee and hem, and draw inseam and side as on the front.",
    {
      points: points("kneeSide", "kneeInseam", "hemSide", "hemInseam"),
      seams: [edgeOf(panel, "hem").path, edgeOf(panel, "inseam").path, scene.side.lower],
    },
  );
  step(say`Swing the waist to where the back side is as long as the front's. ${shapingText("back", rules)}`, {
    points: points("waistSide", "waistCentre"),
    guides: dartGuides(panel),
    seams: [...scene.waist, scene.side.upper],
  });
  step(
    plan.backShorter === 0
      ? "Walk side and inseam: they are equal."
      : "Walk side and inseam: the sides are equal, the back inseam is {backShorter} shorter and is stretched on.",
    { points: points("hemSide", "hemInseam") },
  );
}
