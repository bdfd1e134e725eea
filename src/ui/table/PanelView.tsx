import { textOf } from "@/core/units";
import { phrase } from "@/core/words";
import { type LineKind, type Panel, panelPath, isOf, type Drawing } from "@/core/pattern";
import { memo } from "react";
import { pathData, pointsData } from "./layout";

/** Line style says what colour says: front solid, back long dashes, other panels dash-dot, bands and linings dotted. */
export function styleOf(panel: Pick<Panel, "id" | "is">): {
  readonly color: string;
  readonly wash: string;
  readonly dash: string | undefined;
} {
  if (isOf(panel, "front")) return { color: "var(--front)", wash: "var(--front-wash)", dash: undefined };
  if (isOf(panel, "back")) return { color: "var(--back)", wash: "var(--back-wash)", dash: "13 6" };
  if (panel.is.component !== "part") return { color: "var(--part)", wash: "var(--part-wash)", dash: "9 3 2 3" };
  return { color: "var(--lining)", wash: "transparent", dash: "2 3" };
}

/** Hinges in millimetres: they grow with the pattern, like a pin in the paper. */
const HINGE_RADIUS = 8;

/** Inner lines that are sewn or folded along, and so drawn as plainly as the outline. */
const SEWN: ReadonlySet<LineKind> = new Set(["dart", "pleat", "fold", "opening", "placement"]);

const STROKE = { fill: "none", vectorEffect: "non-scaling-stroke" } as const;

/** A panel on its seam line with its inner lines. */
export const PanelView = memo(function PanelView({ panel }: { readonly panel: Panel }) {
  const style = styleOf(panel);
  return (
    <g aria-label={textOf(panel.name)} role="img">
      <path
        d={pathData(panelPath(panel), true)}
        fill={style.wash}
        stroke={style.color}
        strokeWidth={2}
        strokeDasharray={style.dash}
        vectorEffect="non-scaling-stroke"
        strokeLinejoin="round"
      />
      {panel.lines.map((l, i) =>
        l.kind === "grain" ? (
          <Grain key={i} points={l.points} />
        ) : (
          <path
            key={i}
            d={pointsData(l.points)}
            {...STROKE}
            stroke={SEWN.has(l.kind) ? "var(--text)" : "var(--quiet)"}
            strokeOpacity={SEWN.has(l.kind) ? 0.85 : 0.55}
            strokeWidth={SEWN.has(l.kind) ? 1.2 : 0.9}
            strokeDasharray={l.kind === "fold" ? "10 4" : SEWN.has(l.kind) ? undefined : "2 4"}
          />
        ),
      )}
    </g>
  );
});

function Grain({ points }: { readonly points: Panel["lines"][number]["points"] }) {
  const [a, b] = [points[0], points[points.length - 1]];
  if (!a || !b) return null;
  const size = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [ux, uy] = [(b[0] - a[0]) / size, (b[1] - a[1]) / size];
  const head = (x: number, y: number, way: 1 | -1): string =>
    `M${x} ${y}l${way * (16 * ux - 5 * uy)} ${way * (16 * uy + 5 * ux)}l${way * 10 * uy} ${way * -10 * ux}Z`;
  return (
    <g>
      <path d={pointsData([a, b])} {...STROKE} stroke="var(--text)" strokeWidth={1.2} />
      <path d={head(a[0], a[1], 1) + head(b[0], b[1], -1)} fill="var(--text)" />
    </g>
  );
}

/** The block a style was made from: pale and solid. */
export const GhostView = memo(function GhostView({ panel }: { readonly panel: Panel }) {
  return <path d={pathData(panelPath(panel), true)} {...STROKE} stroke="var(--ghost)" strokeWidth={1.2} aria-hidden />;
});

/** A kept version over the pattern: dotted, in the ink of notes. */
export const OverView = memo(function OverView({ panel, name }: { readonly panel: Panel; readonly name: string }) {
  return (
    <path
      role="img"
      aria-label={phrase`${textOf(panel.name)} of version ${name}`}
      d={pathData(panelPath(panel), true)}
      {...STROKE}
      stroke="var(--note)"
      strokeWidth={1.8}
      strokeDasharray="2 4"
    />
  );
});

/** What an act drew: new seams, slashes, the wedges they open, and their hinges. */
export const ShownView = memo(function ShownView({ shown }: { readonly shown: Drawing }) {
  return (
    <g aria-hidden>
      {shown.seams.map((path, i) => (
        <path key={`e${i}`} d={pathData(path, false)} {...STROKE} stroke="var(--chalk)" strokeWidth={2.4} />
      ))}
      {shown.wedges.map((w, i) => (
        <path
          key={`w${i}`}
          d={pointsData(w, true)}
          fill="url(#opened)"
          stroke="var(--chalk)"
          strokeWidth={1.2}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {shown.slashes.map((s, i) => (
        <path
          key={`s${i}`}
          d={pointsData(s)}
          {...STROKE}
          stroke="var(--chalk-text)"
          strokeWidth={1}
          strokeDasharray="1 3"
        />
      ))}
      {shown.hinges.map((h, i) => (
        <circle
          key={`h${i}`}
          cx={h[0]}
          cy={h[1]}
          r={HINGE_RADIUS}
          fill="var(--table)"
          stroke="var(--chalk-text)"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </g>
  );
});
