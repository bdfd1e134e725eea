import type { Piece } from "@/core/pieces";
import { labelPlaceOf } from "./labels";
import { pointsData } from "./layout";
import { PanelView } from "./PanelView";

/** A piece to cut: heavy cut line, seam line in its own style, notches and label. */
export function PieceView({ piece }: { readonly piece: Piece }) {
  const label = labelPlaceOf(piece);
  return (
    <g>
      <path
        d={pointsData(piece.cutLine, true)}
        fill="none"
        stroke="var(--text)"
        strokeWidth={2.6}
        vectorEffect="non-scaling-stroke"
        strokeLinejoin="round"
      />
      <PanelView panel={piece.panel} />
      {piece.notches.map((n, i) => {
        const [dx, dy] = [n.outer[0] - n.at[0], n.outer[1] - n.at[1]];
        const length = Math.hypot(dx, dy) || 1;
        const aside = [(-dy / length) * 4, (dx / length) * 4] as const;
        return (
          <path
            key={i}
            d={
              n.kind === "double"
                ? `M${n.at[0] + aside[0]} ${n.at[1] + aside[1]}l${dx} ${dy}M${n.at[0] - aside[0]} ${n.at[1] - aside[1]}l${dx} ${dy}`
                : `M${n.at[0]} ${n.at[1]}l${dx} ${dy}`
            }
            stroke="var(--text)"
            strokeWidth={1.8}
            vectorEffect="non-scaling-stroke"
          />
        );
      })}
      <text
        x={label.at[0]}
        y={label.at[1]}
        fontSize={label.size}
        fill="var(--text)"
        className="narrow"
        style={{ pointerEvents: "none" }}
      >
        {piece.label.slice(0, label.lines).map((line, i) => (
          <tspan key={i} x={label.at[0]} dy={i === 0 ? 0 : label.size * 1.3} fontWeight={i === 0 ? 700 : 400}>
            {line}
          </tspan>
        ))}
      </text>
    </g>
  );
}
