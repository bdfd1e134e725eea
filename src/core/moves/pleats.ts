import { z } from "zod";
import {
  choice,
  number,
  length,
  namedLength,
  ruledLength,
  type StatedOf,
  levelSchema,
  type LevelName,
  LEVEL_NAMES,
} from "../params";
import { askedLength, defineMove } from "./define";
import { type Fold } from "../pattern";
import { count as countOf, quantity, type LengthInput, type Mm, type Quantity, Refusal, range, say } from "../units";
import { numberOr, paramOr, readParam, styleParam } from "./auto";
import { levelOf } from "./level";
import { refuseSewnWaist, wholePanel } from "./legs";
import { type Handle, type MoveContext } from "./move";
import { type Plan, type Pleated, pleatPanel } from "./pleatPanel";

const PARAMS = {
  panel: choice("Which panels are pleated.", {
    label: "On",
    options: [
      ["front", "the fronts"],
      ["back", "the backs"],
      ["both", "fronts and backs"],
    ],
  }),
  count: number("Pleats on each panel.", {
    label: "Pleats, each panel",
    least: 1,
    most: 4,
    step: 1,
    usual: 1,
    whole: true,
  }),
  depth: length("Depth of one pleat from fold to fold; left auto, everything beyond the waist quarter is pleated.", {
    takesCloth: true,
    label: "Depth of one",
    shown: "depth",
    tried: [8, 50],
  }),
  at: ruledLength(
    "Where the first pleat stands: on the crease, or so far from the centre along the stitching line, a waist quarter or a length.",
    {
      label: "First pleat stands",
      options: [
        ["crease", "on the crease"],
        ["quarter", "a waist quarter from the centre"],
      ],
      within: [20, 400],
    },
  ),
  kind: choice("One fold, or two facing away or toward each other.", {
    label: "Kind",
    options: [
      ["knife", "knife"],
      ["box", "box"],
      ["inverted", "inverted"],
    ],
  }),
  toward: choice("Which way a knife pleat is folded.", {
    label: "Knife, folded toward",
    options: [
      ["side", "the side"],
      ["centre", "the centre"],
    ],
  }),
  run: namedLength(
    "`parallel` to the hem, or the level where the pleats run out.",
    z.union([z.literal("parallel"), levelSchema]),
    { label: "Runs out at", shown: "run", names: ["parallel", ...LEVEL_NAMES], tried: [200, 900] },
  ),
  spacing: length("From one pleat to the next.", {
    label: "From pleat to pleat",
    shown: "spacing",
    usual: { mm: 35, where: "apart" },
    tried: [20, 80],
  }),
};
type Params = StatedOf<typeof PARAMS>;

/** Opens pleats from the waist, parallel or to nothing, and shapes their caps by folding them. */
export const pleats = defineMove({
  id: "pleats",
  label: "Pleat",
  note: "Opens pleats from the waist, parallel or to nothing lower down; the waist is drawn with them folded.",
  params: PARAMS,
  redraws: false,
  widensHem: true,
  apply(state, params, context) {
    const which = params.panel ?? "front";
    const kind = params.kind ?? "knife";
    const folds = kind === "knife" ? 2 : 4;
    const count = numberOr("pleats", "count", params.count, context, 1);
    const depth = paramOr("pleats", "depth", params.depth, context);
    if (depth && (depth.mm < 8 || depth.mm > 120)) throw new Refusal("depth", say`A pleat is ${range(8, 120)} deep.`);
    const spacing = askedLength("pleats", PARAMS, "spacing", params, context);
    if (spacing.mm < 10 || spacing.mm > 120) throw new Refusal("spacing", say`Pleats lie ${range(10, 120)} apart.`);
    const askedRun = params.run ?? (styleParam("pleats", "run", context) as Params["run"]);
    const run =
      askedRun === "parallel" ? null : levelOf("run", (askedRun ?? "knee") as LevelName | LengthInput, state, context);
    const plan: Plan = {
      count,
      intake: depth ? depth.mm * folds : null,
      kind,
      toward: params.toward ?? "side",
      runOut: run?.mm ?? null,
      spacing: spacing.mm,
      at: placeOf(params.at, context),
    };
    const targets = (which === "both" ? (["front", "back"] as const) : [which]).map((root) =>
      wholePanel(state, root, "panel", this.label, ["waist", "side", "hem", "inseam"]),
    );
    for (const panel of targets) refuseSewnWaist(state, panel, "panel", this.label);
    const sewn = state.plan.hipWide ? context.measures.waist.mm / 4 : null;
    const done = targets.map((panel) => ({ panel, pleated: pleatPanel(panel, plan, sewn) }));
    const first = done[0]?.pleated as Pleated;
    const other = done[1]?.pleated;
    const deep = (pleated: Pleated): Quantity =>
      quantity(
        pleated.depth,
        depth
          ? depth.sum
          : sewn !== null
            ? say`everything beyond the waist quarter ${sewn}, in ${String(count)}`
            : say`what the darts held, in ${String(count)}`,
      );
    const from = (pleated: Pleated): Quantity =>
      quantity(
        pleated.fromCentre,
        plan.at === null
          ? "on the crease, along the stitching line"
          : say`${plan.at} from the centre as chosen, with room for the pleats before the side`,
        {},
        plan.at ?? undefined,
      );
    return {
      state: {
        ...state,
        panels: state.panels.map((p) => done.find((d) => d.panel === p)?.pleated.panel ?? p),
      },
      numbers: {
        depth: deep(first),
        intake: quantity(first.intake, kind === "knife" ? "twice the depth" : "four times the depth"),
        fromCentre: from(first),
        ...(other && {
          backDepth: deep(other),
          backIntake: quantity(other.intake, kind === "knife" ? "twice the depth" : "four times the depth"),
          backFromCentre: from(other),
        }),
        opened: quantity(first.opened, "widened at the waist of one panel beyond what it had"),
        spacing,
        ...(run && { run }),
      },
      figures: { count: { ...countOf(count), sum: say`pleats on each panel` } },
      shown: done.map(({ pleated }) => pleated.shown),
      handles: done.flatMap(({ panel, pleated }) => handlesOf(panel.id, pleated, plan, run)),
    };
  },
  says({ params: { panel = "front", kind = "knife", at = "crease" }, numbers, figures }) {
    const count = figures.count?.kind === "count" ? figures.count.count : 1;
    const words = say`${count === 1 ? "one" : String(count)} ${kind} ${count === 1 ? "pleat" : "pleats"}`;
    const where = panel === "both" ? "on front and back" : say`on each ${panel}`;
    const other = numbers.backDepth !== undefined;
    return say`Open ${words} ${where}, ${other ? "{depth} deep on the front and {backDepth} on the back" : "{depth} deep"}, taking {intake} of cloth each${other ? " in front and {backIntake} behind" : ""}, ${at === "crease" ? "on the crease" : say`{fromCentre} from the centre${other ? " in front, {backFromCentre} behind" : ""}`}${count > 1 ? ", {spacing} apart" : ""}${numbers.run ? ", to nothing {run} below the waist" : ", parallel to the hem"}; cut the waist folded.`;
  },
});

/** The place of the first pleat from the centre; null for the crease. */
function placeOf(asked: Params["at"], context: MoveContext): Mm | null {
  if (asked === undefined || asked === "crease") return null;
  if (asked === "quarter") return context.measures.waist.mm / 4;
  const { mm } = readParam("at", asked, context, "from the centre");
  if (mm < 20 || mm > 400) throw new Refusal("at", say`A pleat stands ${range(20, 400)} from the centre.`);
  return mm;
}

function handlesOf(panel: string, pleated: Pleated, plan: Plan, run: Quantity | null): Handle[] {
  const [fold] = pleated.folds;
  if (!fold) return [];
  const folds = plan.kind === "knife" ? 2 : 4;
  const out = Math.sign(fold.to[0] - fold.from[0]) || 1;
  const handles: Handle[] = [
    {
      id: `${panel}-pleat-depth`,
      panel,
      at: fold.to,
      axis: [out, 0],
      param: "depth",
      clears: [],
      perMm: 1 / folds,
      value: pleated.depth,
      label: "pleat depth",
      reading: pleated.depth,
    },
  ];
  if (plan.at !== null)
    handles.push({
      id: `${panel}-pleat-at`,
      panel,
      at: fold.from,
      axis: [out, 0],
      param: "at",
      clears: [],
      perMm: 1,
      value: pleated.fromCentre,
      label: "first pleat from the centre",
      reading: pleated.fromCentre,
      least: 20,
    });
  const last = pleated.folds.at(-1) as Fold;
  handles.push({
    id: `${panel}-pleat-count`,
    panel,
    at: [last.to[0], last.to[1] + 40],
    axis: [out, 0],
    param: "count",
    clears: [],
    perMm: 1 / plan.spacing,
    value: plan.count,
    label: "pleats",
    reading: plan.count,
    counts: true,
    least: 1,
  });
  if (!run) return handles;
  return [
    ...handles,
    {
      id: `${panel}-pleat-run`,
      panel,
      // Beside the outermost run-out, clear of what is pulled on the crease.
      at: [last.tip[0] + out * 28, last.tip[1]],
      axis: [0, 1],
      param: "run",
      clears: [],
      perMm: 1,
      value: run.mm,
      label: "pleats run out",
      reading: run.mm,
    },
  ];
}
