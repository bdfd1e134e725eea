import { isBodice, type Panel } from "../pattern";
import type { Mm } from "../units";
import type { Symptom } from "./symptoms";

/** Symptoms that can be seen on a garment, nearest first where a place on a panel was pressed. */
export function symptomsOf(
  symptoms: readonly Symptom[],
  panels: readonly Panel[],
  pressed: { readonly root: "front" | "back"; readonly point: readonly [number, number] } | null,
): readonly Symptom[] {
  const hasBodice = panels.some((p) => isBodice(p));
  const possible = symptoms.filter((s) => !s.needsBodice || hasBodice);
  if (!pressed) return possible;
  const away = (symptom: Symptom): Mm => {
    const panel = panels.find(
      (p) => p.is.component === "legs" && p.is.root === symptom.root && p.landmarks[symptom.at],
    );
    const at = panel?.landmarks[symptom.at];
    if (!at) return Infinity;
    const far = Math.hypot(at[0] - pressed.point[0], at[1] - pressed.point[1]);
    // What is seen on the other panel is farther than anything on this one.
    return symptom.root === pressed.root ? far : far + OTHER_PANEL;
  };
  return [...possible].sort((a, b) => away(a) - away(b));
}
const OTHER_PANEL: Mm = 2000;
