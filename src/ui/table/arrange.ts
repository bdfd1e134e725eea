import { isBodice, isOf, type Panel } from "@/core/pattern";
import { boxOf, type Box, type Point } from "@/core/geometry";
import { layOut, panelBox, type Placed } from "./layout";

/** Room left between the parts a panel was cut into. */
const APART = 45;
/** Room above a part for its name. */
const NAMED = 85;
/** Room below the legs for what their hems measure, before the names of the parts that lie there. */
const MEASURED = 170;
/** Room kept beside each leg, so that opening it does not run the panels into each other. */
const ROOM = 90;

const shifted = (b: Box, [x, y]: Point): Box => ({
  left: b.left + x,
  right: b.right + x,
  top: b.top + y,
  bottom: b.bottom + y,
});

function around(boxes: readonly Box[]): Box {
  return boxOf(
    boxes.flatMap((b): Point[] => [
      [b.left, b.top],
      [b.right, b.bottom],
    ]),
  );
}

/** The parts of a front or back, drawn in one frame, pulled apart: upper ones upward, those beside each other sideways. */
function exploded(parts: readonly Panel[]): readonly { readonly panel: Panel; readonly by: Point }[] {
  if (parts.length < 2) return parts.map((panel) => ({ panel, by: [0, 0] }));
  const boxes = parts.map(panelBox);
  const whole = around(boxes);
  const isUpper = (b: Box): boolean => b.bottom - whole.top < 0.45 * (whole.bottom - whole.top);
  // What is cut for the left leg alone lies together, after what the right leg or both have.
  const order = (p: Panel): number => (p.half === "left" ? 1e6 : 0) + panelBox(p).left + panelBox(p).right;
  const row = (upper: boolean): Panel[] =>
    parts.filter((_, i) => isUpper(boxes[i] as Box) === upper).sort((a, b) => order(a) - order(b));
  const place = (panels: readonly Panel[], y: number): { panel: Panel; by: Point }[] => {
    let edge = -Infinity;
    return panels.map((panel) => {
      const box = panelBox(panel);
      const x = Math.max(0, edge + APART - box.left);
      edge = box.right + x;
      return { panel, by: [x, y] };
    });
  };
  return [...place(row(true), -NAMED), ...place(row(false), 0)];
}

/** A bodice above the legs it belongs to, their centres in line; at its own place where there are none. */
function above(legs: readonly { readonly panel: Panel; readonly by: Point }[], bodice: readonly Panel[]) {
  const [first] = legs;
  if (!first) return bodice.map((panel) => ({ panel, by: [0, 0] as const }));
  const top = around(legs.map((p) => shifted(panelBox(p.panel), p.by))).top;
  const centre = (panel: Panel): number => panel.landmarks.waistCentre?.[0] ?? 0;
  return bodice.map((panel) => ({
    panel,
    by: [centre(first.panel) + first.by[0] - centre(panel), top - NAMED - panelBox(panel).bottom] as const,
  }));
}

/**
 * The pattern on the table: the back and what was cut from it, the front likewise, then every other part. Where a
 * block is given it fixes where back and front lie, with room beside them, so that they keep their places while a
 * handle is pulled.
 */
export function arrange(panels: readonly Panel[], block?: readonly Panel[]): Placed<Panel>[] {
  const groups = (["back", "front"] as const)
    .map((root) => {
      const legs = exploded(panels.filter((p) => isOf(p, root)));
      return {
        root,
        parts: [
          ...legs,
          ...above(
            legs,
            panels.filter((p) => isBodice(p, root)),
          ),
        ],
      };
    })
    .filter((group) => group.parts.length > 0);
  const legs = layOut(
    groups.map(({ root, parts }) => {
      const base = block?.find((p) => p.id === root);
      const boxes = parts.map((p) => shifted(panelBox(p.panel), p.by));
      // Only a pattern that was pulled apart needs more room than its block.
      const box = around([...(base ? [panelBox(base)] : []), ...(base && parts.length === 1 ? [] : boxes)]);
      const room = block ? ROOM : 0;
      return { id: root, item: root, box: { ...box, left: box.left - room, right: box.right + room } };
    }),
  );
  const placedLegs = legs.flatMap((leg): Placed<Panel>[] => {
    const group = groups.find((g) => g.root === leg.id);
    return (group?.parts ?? []).map(({ panel, by }) => ({
      id: panel.id,
      item: panel,
      at: [leg.at[0] + by[0], leg.at[1] + by[1]],
      box: panelBox(panel),
    }));
  });
  const others = panels.filter((p) => !isOf(p, "back") && !isOf(p, "front") && !isBodice(p));
  if (others.length === 0) return placedLegs;
  if (legs.length === 0) return inRows(others, [0, 0], Infinity);
  const legsBox = around(legs.map((l) => shifted(l.box, l.at)));
  const beside = inRows(others, [legsBox.right + APART, legsBox.top], Infinity);
  const below = inRows(
    others,
    [legsBox.left, legsBox.bottom + (block ? MEASURED : NAMED)],
    Math.max(1200, legsBox.right - legsBox.left),
  );
  const scale = (placed: readonly Placed<Panel>[]): number => {
    const box = around([legsBox, ...placed.map((p) => shifted(p.box, p.at))]);
    return Math.min(TABLE_ASPECT / (box.right - box.left), 1 / (box.bottom - box.top));
  };
  return [...placedLegs, ...(scale(beside) >= scale(below) ? beside : below)];
}

/** Width to height of the table, by which parts are laid beside the legs or below them. */
const TABLE_ASPECT = 0.9;

/** Parts from left to right, in rows no wider than `most`. */
function inRows(panels: readonly Panel[], [left, top]: Point, most: number): Placed<Panel>[] {
  let [x, y, height] = [left, top, 0];
  return panels.map((panel) => {
    const box = panelBox(panel);
    const width = box.right - box.left;
    if (x > left && x + width - left > most) [x, y, height] = [left, y + height + NAMED, 0];
    const at: Point = [x - box.left, y - box.top];
    x += width + APART;
    height = Math.max(height, box.bottom - box.top);
    return { id: panel.id, item: panel, at, box };
  });
}
