import { isOf, panelPath, type Panel } from "@/core/pattern";
import { arrange } from "./table/arrange";
import { boundsOf, pathData } from "./table/layout";
import { styleOf } from "./table/PanelView";

/** The pattern in miniature, from the engine's own outlines, its parts as they lie on the table. */
export function MiniOutline({
  panels,
  height,
  width,
}: {
  readonly panels: readonly Panel[];
  readonly height: number;
  readonly width: number;
}) {
  const placed = arrange(panels);
  const b = boundsOf(placed);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`${b.left - 12} ${b.top - 12} ${b.right - b.left + 24} ${b.bottom - b.top + 24}`}
      aria-hidden
    >
      <PanelShapes placed={placed} />
    </svg>
  );
}

/** Panels as they lie on the table, without their words. */
export function PanelShapes({ placed }: { readonly placed: ReturnType<typeof arrange> }) {
  return placed.map(({ id, item, at }) => (
    <path
      key={id}
      d={pathData(panelPath(item), true)}
      transform={`translate(${at[0]} ${at[1]})`}
      fill={styleOf(item).wash}
      stroke={styleOf(item).color}
      strokeWidth={1.5}
      strokeDasharray={isOf(item, "back") ? "6 3" : undefined}
      vectorEffect="non-scaling-stroke"
    />
  ));
}
