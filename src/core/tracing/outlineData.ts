import { pathStart, type Path, type Point } from "../geometry";

/** Path data of an outline as a job keeps it: absolute M, L, C, Z to a thousandth of a millimetre. */
export function outlineData(path: Path): string {
  const n = (p: Point): string => `${Math.round(p[0] * 1000) / 1000} ${Math.round(p[1] * 1000) / 1000}`;
  const parts = path.map((s) =>
    s.kind === "line" ? `L${n(s.points[1])}` : `C${n(s.points[1])} ${n(s.points[2])} ${n(s.points[3])}`,
  );
  return `M${n(pathStart(path))}${parts.join("")}Z`;
}
