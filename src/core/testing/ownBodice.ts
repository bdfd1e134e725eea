import type { OwnBodice } from "../bodice";
import type { Job } from "../files";
import { panelPath, type Panel } from "../pattern";
import { outlineData } from "../tracing";
import { shapeOf } from "./jobs";

type Half = OwnBodice["panels"]["front"];

const half = (p: Panel): Half => ({
  path: outlineData(panelPath(p)),
  darts: p.lines.filter((l) => l.kind === "dart").map((l) => l.points.map((q) => [...q])) as NonNullable<Half["darts"]>,
});

const at = (p: Panel, name: string): [number, number] => [...(p.landmarks[name] as readonly [number, number])];

const cornersOf = (p: Panel): OwnBodice["landmarks"]["back"] => ({
  neckCentre: at(p, "neckCentre"),
  neckEnd: at(p, "neckEnd"),
  shoulderEnd: at(p, "shoulderEnd"),
  underarm: at(p, "underarm"),
  waistSide: at(p, "waistSide"),
  waistCentre: at(p, "waistCentre"),
});

/** The bodice a job drafts, before it is restyled, as one that somebody brings in. */
export function ownBodiceOf(job: Job): OwnBodice {
  const panels = shapeOf(job).drafted.panels;
  const of = (id: string): Panel => panels.find((p) => p.id === id) as Panel;
  const [front, back] = [of("bodice-front"), of("bodice-back")];
  return {
    panels: { front: half(front), back: half(back) },
    landmarks: { front: { ...cornersOf(front), bustPoint: at(front, "bustPoint") }, back: cornersOf(back) },
  };
}
