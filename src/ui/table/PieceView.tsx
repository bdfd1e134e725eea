import type { Piece } from "@/core/pieces";
import { pointsData } from "./layout";
import { PanelView } from "./PanelView";

/** A piece to cut: heavy cut line, seam line in its own style, notches. */
export function PieceView({ piece }: { readonly piece: Piece }) {
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
      {piece.trims.map((t, i) => (
        <path
          key={`t${i}`}
          d={pointsData(t)}
          fill="none"
          stroke="var(--text)"
          strokeWidth={1.3}
          strokeDasharray="9 3 2 3"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {piece.signs.lines.map((l, i) => (
        <path
          key={`s${i}`}
          d={pointsData(l)}
          fill="none"
          stroke="var(--text)"
          strokeWidth={1.1}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {piece.drills.map(([x, y], i) => (
        <circle
          key={i}
          cx={x}
          cy={y}
          r={3}
          fill="none"
          stroke="var(--text)"
          strokeWidth={1.4}
          vectorEffect="non-scaling-stroke"
        />
      ))}
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
    </g>
  );
}
