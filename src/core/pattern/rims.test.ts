import { ALLOWANCE_SETS, resolveAllowances } from "../finish";
import { line, type Point } from "../geometry";
import { readPanels } from "../inspect";
import { cutPieces, seamsOf } from "../pieces";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import {
  type Pattern,
  along,
  edgesWithRole,
  roleLength,
  wholePanelOf,
  openRim,
  rimGirth,
  type Edge,
  type Join,
  type Panel,
} from ".";

/** A plain bodice panel standing on a leg: its waist as long as the leg's, a side, an armhole, a shoulder, a neck and a centre. */
function bodiceOn(leg: Panel, root: "front" | "back"): Panel {
  const wide = roleLength(leg, "waist");
  const corners: readonly (readonly [Edge["role"], Point])[] = [
    ["waist", [0, 0]],
    ["side", [wide, 0]],
    ["armhole", [wide, -200]],
    ["shoulder", [wide - 60, -400]],
    ["neck", [60, -420]],
    ["centre", [0, -360]],
  ];
  return {
    id: `bodice-${root}`,
    name: `Bodice ${root}`,
    is: wholePanelOf("bodice", root),
    half: "both",
    cutting: { material: "shell" },
    edges: corners.map(([role, from], i): Edge => {
      const [, to] = corners[(i + 1) % corners.length] as (typeof corners)[number];
      return { id: role, role, name: role, path: [line(from, to)] };
    }),
    landmarks: {},
    lines: [
      {
        kind: "grain",
        points: [
          [wide / 2, -50],
          [wide / 2, -300],
        ],
      },
    ],
  };
}

const shape = shapeOf(palazzoJob(HAND_BODY));
const legs = { panels: shape.panels, joins: shape.joins };
const bodices = [bodiceOn(shape.front, "front"), bodiceOn(shape.back, "back")];
const hung: Join[] = [shape.front, shape.back].map((leg, i): Join => ({
  id: `waist-${leg.id}`,
  label: "Waist",
  kind: "waist",
  by: "test",
  how: "equal",
  leg: "both",
  a: edgesWithRole(leg, "waist").map((edge) => along(leg.id, edge.id)),
  b: [along((bodices[i] as Panel).id, "waist")],
}));
const sides: Join = {
  id: "bodice-side",
  label: "Bodice side",
  kind: "side",
  by: "test",
  how: "equal",
  leg: "both",
  a: [along("bodice-front", "side")],
  b: [along("bodice-back", "side")],
};
const whole: Pattern = { panels: [...legs.panels, ...bodices], joins: [...legs.joins, ...hung, sides] };

test("a waist that is sewn to another is one girth, and no opening", () => {
  expect(rimGirth(legs, "waist")).toBeCloseTo(760, 3);
  expect(rimGirth(whole, "waist")).toBeCloseTo(760, 3);
  expect(shape.panels.map((p) => openRim(legs, p, "waist").length > 0)).toEqual([true, true]);
  expect(whole.panels.map((p) => openRim(whole, p, "waist").length)).toEqual([0, 0, 0, 0]);
});

test("a bodice hung on the legs changes none of the legs' readings", () => {
  const opens = { zip: 180, held: Infinity };
  const read = (pattern: Pattern) => readPanels(pattern.panels, pattern.joins, shape.plan, shape.measures, opens);
  const [alone, with_] = [read(legs), read(whole)];
  expect(with_.waistGirth).toBeCloseTo(760, 3);
  expect(with_.waistOpening).toBeCloseTo(760 + 2 * 180, 3);
  expect({ ...with_, clothArea: alone.clothArea, easeProfile: alone.easeProfile }).toEqual(alone);
});

test("every edge of a bodice takes the allowance of what it is", () => {
  const { set } = resolveAllowances({}, "mm");
  const pieces = cutPieces(whole.panels, seamsOf(whole.panels, whole.joins), {
    allowances: set,
    hem: null,
    opening: null,
    zipAtSide: false,
    freeEdge: 10,
    fates: { free: "turned", hem: "turned", waist: null },
    marks: [],
    lies: {},
    job: { name: "", wearer: "", date: "", version: "" },
  });
  const front = pieces.find((piece) => piece.id === "bodice-front");
  const { waist, side, armhole, shoulder, neck, crotch } = ALLOWANCE_SETS.woven.widths;
  const expected = { waist, side, armhole, shoulder, neck, centre: crotch };
  expect(Object.fromEntries(front?.edges.map((e) => [e.role, e.allowance]) ?? [])).toEqual(expected);
});
