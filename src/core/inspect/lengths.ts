import { creaseHalvesOf } from "./creaseHalves";
import { legOf, panelById, landmarkOf, refPath, refsLength, type JoinKind } from "../pattern";
import { pathStart } from "../geometry";
import type { Seam } from "../pieces";
import { type Mm, say, making, joined, inside, type Sentence } from "../units";
import { byLimits, verdict, type Check, type CheckRule, type Inspected } from "./check";

interface Walked {
  readonly seam: Seam;
  /** Length of the first side less the second. */
  readonly value: Mm;
}

/** The joins of a kind that should be equally long, the one furthest apart first; null when there is none. */
function furthest({ panels, seams }: Inspected, kinds: readonly JoinKind[]): Walked | null {
  const walked = seams
    .filter((seam) => kinds.includes(seam.kind) && (seam.how === "equal" || seam.how === "eased"))
    .map((seam) => ({ seam, value: refsLength(panels, seam.walkA) - refsLength(panels, seam.walkB) }));
  return walked.reduce<Walked | null>((a, b) => (!a || Math.abs(b.value) > Math.abs(a.value) ? b : a), null);
}

/** Where a join starts, on its first side. */
function startOf({ panels }: Inspected, seam: Seam): Check["where"] {
  const ref = seam.walkA[0];
  return ref ? { panel: ref.panel, point: pathStart(refPath(panels, ref)) } : null;
}

/** Side seams, and every seam a cut has made, walked along both sides. */
export const sideSeams: CheckRule = {
  id: "side-seams",
  label: "Side and style seams",
  note: "Seams that are sewn edge to edge are equally long on both sides.",
  measure(inspected) {
    const worst = furthest(inspected, ["side", "cut"]);
    if (!worst) return null;
    const { seam, value } = worst;
    const status = byLimits(value, 1, 2);
    const name = (address: string | undefined): Sentence =>
      inside(panelById(inspected.panels, (address ?? "").split(".")[0] ?? "").name);
    const [a, b] = [name(seam.a[0]), name(seam.b[0])];
    return verdict(this, {
      status,
      value,
      limit: 1,
      unit: "making",
      message:
        status === "pass"
          ? seam.kind === "side" && inspected.seams.every((s) => s.kind !== "cut")
            ? say`Front and back are equal.`
            : say`Every pair is equal.`
          : say`${seam.label}: the ${a} is ${making(Math.abs(value))} ${value > 0 ? "longer" : "shorter"} than the ${b}.`,
      where: startOf(inspected, seam),
      fix: say`Redraw one of the edges until the seam agrees.`,
    });
  },
};

/** Inseams: the back may be up to 6 mm shorter, to be stretched on. */
export const inseams: CheckRule = {
  id: "inseams",
  label: "Inseams",
  note: "The back inseam is 0 to 6 mm shorter than the front's and is stretched on.",
  measure(inspected) {
    const { panels } = inspected;
    const worst = furthest(inspected, ["inseam"]);
    if (!worst) return null;
    const { value, seam } = worst;
    const status = value < -2 || value > 10 ? "fault" : value < -0.05 || value > 6.05 ? "look" : "pass";
    const equal = Math.abs(value) < 0.05;
    const ref = seam.walkB.at(-1);
    return verdict(this, {
      status,
      value,
      limit: 6,
      unit: "making",
      message: equal
        ? say`Front and back are equal.`
        : say`The back is ${making(Math.abs(value))} ${value > 0 ? "shorter" : "longer"}.`,
      where: ref ? { panel: ref.panel, point: landmarkOf(panelById(panels, ref.panel), "crotchPoint") } : null,
      fix: say`Lower or raise the back crotch point.`,
    });
  },
};

/** The waist against the band it is sewn to. */
export const waistSeam: CheckRule = {
  id: "waist-seam",
  label: "Waist and band or facing",
  note: "Band or facing is as long as the waist it is sewn to, without its underlap.",
  measure(inspected) {
    const waists = inspected.seams.filter((seam) => seam.kind === "waist" && seam.how === "equal");
    const [first] = waists;
    if (!first) return null;
    const value = waists.reduce(
      (sum, { walkA, walkB }) => sum + refsLength(inspected.panels, walkB) - refsLength(inspected.panels, walkA),
      0,
    );
    const status = byLimits(value, 2, 5);
    return verdict(this, {
      status,
      value,
      limit: 2,
      unit: "making",
      message:
        status === "pass"
          ? say`They are equal.`
          : say`The waist is ${making(Math.abs(value))} ${value > 0 ? "longer" : "shorter"} than what is sewn to it.`,
      where: startOf(inspected, first),
      fix: say`Cut band or facing to the sewn waist.`,
    });
  },
};

/** Levels at which the halves of a leg are told, where the leg reaches them. */
const HALVED_AT = ["crotch", "knee", "hem"] as const;
const AT: Readonly<Record<(typeof HALVED_AT)[number], string>> = {
  crotch: "on the crotch line",
  knee: "at the knee",
  hem: "at the hem",
};

/** Leg halves about the crease. */
export const creaseBalance: CheckRule = {
  id: "crease-balance",
  label: "Leg halves about the crease",
  note: "At crotch line, knee and hem both sides of the crease are told; a leg that hangs from its crease has them equal at the hem.",
  measure({ legs, plan }) {
    const halves = legOf(legs, "right").flatMap((panel) => creaseHalvesOf(panel, plan));
    const atHem = halves.filter((h) => h.level === "hem");
    const [first, ...rest] = atHem;
    if (!first) return null;
    const off = ({ side, inseam }: (typeof halves)[number]): Mm => side - inseam;
    const worst = rest.reduce((a, b) => (Math.abs(off(b)) > Math.abs(off(a)) ? b : a), first);
    const value = off(worst);
    // A leg hung from its side or inseam, or set off, is so on purpose; one cut above the knee has not reached its crease yet.
    const asChosen = plan.hang !== "crease" || plan.levels.hem < plan.levels.knee;
    const status = asChosen ? "pass" : byLimits(value, 3, 8);
    const told = HALVED_AT.flatMap((level) => {
      const at = halves.find((h) => h.panel === worst.panel && h.level === level);
      return at ? [say`${at.side} and ${at.inseam} ${AT[level]}`] : [];
    });
    const ways = joined(told, ", ");
    const panel = panelById(legs, worst.panel);
    const where = panel.landmarks.creaseHem;
    return verdict(this, {
      status,
      value,
      limit: 3,
      unit: "making",
      message: say`${panel.name}, to side and inseam: ${ways}${asChosen && Math.abs(value) > 3 ? say`, as the leg hangs` : ""}.`,
      where: where ? { panel: worst.panel, point: where } : null,
      fix: say`Share the opening so that both halves of the leg grow alike.`,
    });
  },
};
