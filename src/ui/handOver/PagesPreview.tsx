"use client";
import { textOf } from "@/core/units";
import { phrase } from "@/core/words";
import { useId } from "react";
import type { PagesShown } from "@/core/files/paper/pagesShown";
import { sizeDash } from "@/core/files/paper/sizeLines";

/** The pages as they will come out of the printer: white where a page is, its name, the pieces across them. */
export function PagesPreview({ pages, isDark }: { readonly pages: PagesShown; readonly isDark: boolean }) {
  const id = useId();
  const { width, height, pieces, tiles } = pages;
  const line = Math.max(width, height) / 500;
  const margin = 8 * line;
  return (
    <svg
      role="img"
      aria-label={phrase`${tiles.length} ${tiles.length === 1 ? "page" : "pages"}: ${pieces.map((p) => textOf(p.name)).join(", ")}`}
      viewBox={`${-margin} ${-margin} ${width + 2 * margin} ${height + 2 * margin}`}
      style={{ width: "100%", height: "100%", display: "block" }}
    >
      {tiles.map(({ name, window: w }) => (
        <rect
          key={name}
          x={w.left}
          y={w.top}
          width={w.right - w.left}
          height={w.bottom - w.top}
          fill={isDark ? "#101412" : "var(--field)"}
          stroke="var(--rule)"
          strokeWidth={line}
        />
      ))}
      {pieces.map((piece) => (
        <g key={piece.id} aria-labelledby={`${id}-${piece.id}`}>
          <title id={`${id}-${piece.id}`}>{textOf(piece.name)}</title>
          {piece.outlines.map((outline, size) => (
            <path
              key={size}
              d={`M${outline.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join("L")}Z`}
              fill="none"
              stroke={isDark ? "#e8f3ee" : "var(--text)"}
              strokeWidth={(size === 0 ? 2 : 1.4) * line}
              strokeDasharray={sizeDash(size)
                .map((d) => d * line)
                .join(" ")}
            />
          ))}
        </g>
      ))}
      {tiles.length > 1
        ? tiles.map(({ name, window: w }) => (
            <text key={name} x={w.left + 5 * line} y={w.top + 15 * line} fontSize={12 * line} fill="var(--quiet)">
              {name}
            </text>
          ))
        : null}
    </svg>
  );
}
