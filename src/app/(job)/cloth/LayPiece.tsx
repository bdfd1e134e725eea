import type { SVGProps } from "react";
import { stripWidth, type ClothLay, type LayCloth, type Placement } from "@/core/cloth";
import type { Panel } from "@/core/pattern";
import type { Mm } from "@/core/units";
import { bundleWash } from "./bundleInk";

/** A piece as it is called and drawn on a lay. */
export interface PieceNamed {
  readonly name: string;
  readonly root: Panel["is"]["root"];
  readonly part: boolean;
}

interface Props extends Pick<SVGProps<SVGGElement>, "onPointerDown" | "onFocus" | "onDoubleClick" | "onKeyDown"> {
  readonly placement: Placement;
  readonly of: PieceNamed | undefined;
  /** Height of a word on the lay. */
  readonly word: Mm;
  /** Width of the cloth as it is drawn. */
  readonly deep: Mm;
  readonly isLocked: boolean;
  readonly isChosen: boolean;
  readonly cursor: "default" | "grab" | "grabbing";
}

/** A closed outline as it is drawn. */
export const pathOf = (outline: Placement["outline"]): string =>
  `${outline.map(([x, y], i) => `${i === 0 ? "M" : "L"}${x.toFixed(1)} ${y.toFixed(1)}`).join("")}Z`;

function styleOf(
  part: boolean,
  root: Panel["is"]["root"],
): { readonly ink: string; readonly dash: string | undefined; readonly wash: string } {
  if (part) return { ink: "var(--lining)", dash: "2 3", wash: "var(--lining-wash, var(--panel))" };
  return root === "back"
    ? { ink: "var(--back)", dash: "9 4", wash: "var(--back-wash, var(--panel))" }
    : { ink: "var(--front)", dash: undefined, wash: "var(--front-wash, var(--panel))" };
}

/** One piece on the lay: its outline, its name, its grain, and whether it is locked. */
export function LayPiece({ placement: p, of, word, deep, isLocked, isChosen, cursor, ...hands }: Props) {
  const { ink, dash, wash } = styleOf(of?.part ?? false, of?.root ?? null);
  const name = of?.name ?? p.piece;
  const label = `${name}${p.layers === 2 && !p.onFold ? ", 2 layers" : ""}${p.onFold ? ", on the fold" : ""}${isLocked ? ", locked" : ""}`;
  const xs = p.outline.map(([x]) => x);
  const ys = p.outline.map(([, y]) => y);
  const [wide, tall] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  const size = Math.min(word, wide / Math.max(6, name.length * 0.62), tall * 0.55);
  const way = p.turn === 0 || p.turn === 2 ? 1 : -1;
  // Laid with the edge or fold that faces the cutter below.
  const middle = deep - p.y;
  const path = pathOf(p.outline.map(([x, y]) => [x, deep - y] as const));
  return (
    <g
      tabIndex={0}
      role="button"
      aria-label={label}
      aria-pressed={isChosen}
      data-piece={p.piece}
      style={{ cursor, outline: "none" }}
      {...hands}
    >
      {p.bundle > 0 ? <path d={path} fill={bundleWash(p.bundle)} /> : null}
      <path
        d={path}
        fill={p.bundle > 0 ? "transparent" : wash}
        stroke={isChosen ? "var(--chalk)" : ink}
        strokeWidth={isChosen ? 3 : 1.8}
        strokeDasharray={dash}
        vectorEffect="non-scaling-stroke"
      />
      {size > word * 0.55 ? (
        <text
          x={p.x}
          y={middle - size * 0.15}
          fontSize={size}
          textAnchor="middle"
          fill={ink}
          fontWeight={650}
          style={{ pointerEvents: "none" }}
        >
          {name}
        </text>
      ) : null}
      {wide > 260 && tall > 70 ? (
        <path
          d={`M${p.x - way * 90} ${middle + size * 0.5}h${way * 180}m${-way * 22} -11l${way * 22} 11l${-way * 22} 11`}
          fill="none"
          stroke={ink}
          strokeWidth={1.2}
          vectorEffect="non-scaling-stroke"
          style={{ pointerEvents: "none" }}
        />
      ) : null}
      <title>{label}</title>
      {isLocked ? <circle cx={p.x} cy={middle + size * 1.2} r={word * 0.3} fill="var(--chalk)" /> : null}
    </g>
  );
}

/** On cloth that was cut folded and then opened out: the fold, and what its second layer was cut into, pale. */
export function SecondLayer({
  lay,
  cloth,
  deep,
}: {
  readonly lay: ClothLay;
  readonly cloth: LayCloth;
  readonly deep: Mm;
}) {
  const fold = stripWidth({ ...cloth, fold: "lengthwise" });
  return (
    <g aria-hidden>
      {lay.placements
        .filter((p) => p.layers === 2 && !p.opened)
        .map((p) => (
          <path
            key={`${p.bundle}-${p.piece}-${p.copy}`}
            d={pathOf(p.outline.map(([x, y]) => [x, deep - 2 * fold + y] as const))}
            fill="none"
            stroke="var(--quiet)"
            strokeDasharray="1 4"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      <path
        d={`M0 ${deep - fold}H${lay.foldedLength}`}
        stroke="var(--text)"
        strokeWidth={2}
        strokeDasharray="12 6"
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}
