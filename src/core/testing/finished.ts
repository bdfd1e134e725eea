import { edgeOf, panelById, panelIsClosed, type Panel } from "../pattern";
import type { Derived } from "../derive";
import { pathLength } from "../geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "./jobs";
import type { Finish } from "../finish";

export const made = (finish: Finish, style = "straight", params: Record<string, unknown> = {}): Derived =>
  derivedOf(palazzoJob(HAND_BODY, { style: { id: style, params }, finish }));
export const part = (derived: Derived, id: string): Panel => panelById(derived.sewn, id);
export const piece = (derived: Derived, id: string) => {
  const found = derived.pieces.find((p) => p.panel.id === id);
  if (!found) throw new Error(`no piece ${id}`);
  return found;
};
export const edgeLength = (panel: Panel, id: string): number => pathLength(edgeOf(panel, id).path);
export const seam = (derived: Derived, id: string) => {
  const found = derived.seams.find((s) => s.id === id);
  if (!found) throw new Error(`no seam ${id} among ${derived.seams.map((s) => s.id).join(" ")}`);
  return found;
};
export const plain = made({});

/** What every finish has to keep: closed outlines, equal seams, no fault but those named. */
export function soundBut(derived: Derived, faults: readonly string[] = []): void {
  expect(derived.sewn.filter((p) => !panelIsClosed(p)).map((p) => p.id)).toEqual([]);
  for (const s of derived.seams.filter((x) => x.how === "equal"))
    expect([s.id, Math.abs(s.lengthA - s.lengthB) < 0.05]).toEqual([s.id, true]);
  expect(derived.checks.filter((c) => c.status === "fault").map((c) => c.id)).toEqual(faults);
}
