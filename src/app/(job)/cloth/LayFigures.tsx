"use client";
import { capital, decimal, inSentence, phrase } from "@/core/words";
import { clothOtherwise, isProvable, type ClothLay, type LayCloth } from "@/core/cloth";
import { costOf, SOLD_WIDTHS } from "@/core/cloth/sold";
import type { ClothInHand } from "@/core/derive/cloth";
import type { Job } from "@/core/files";
import type { Material } from "@/core/pattern";
import { formatLength, formatShare, toBuy, type Mm, type Tape } from "@/core/units";
import { PaneHeading } from "@/ui/StageLayout";
import { Length } from "@/ui/Length";
import { useElsewhere } from "./useElsewhere";

interface Props {
  readonly lay: ClothLay;
  /** No lay is shorter, as far as that is proved; null where it is not. */
  readonly proved: Mm | null;
  readonly cloth: LayCloth;
  readonly inHand: ClothInHand;
  readonly jobs: readonly Job[];
  readonly material: Material;
  readonly tape: Tape;
  /** What pieces are called, and which of them are parts. */
  readonly names: ReadonlyMap<string, { readonly name: string; readonly part: boolean }>;
}

/** How far the cloth is folded in for each main piece by those who cut it without a lay: as wide as it lies. */
function foldsFor(lay: ClothLay, names: Props["names"]): readonly (readonly [name: string, wide: Mm])[] {
  const first = [...new Map([...lay.placements].reverse().map((p) => [p.piece, p] as const)).values()].reverse();
  return first.flatMap((p) => {
    const of = p.bundle === 0 ? names.get(p.piece) : undefined;
    const ys = p.outline.map(([, y]) => y);
    return of && !of.part ? [[of.name, Math.max(...ys) - Math.min(...ys)] as const] : [];
  });
}

const ELSEWHERE = 3;

/** What a lay comes to: what is needed and bought, what is used and left, and what other widths would take. */
export function LayFigures({ lay, proved, cloth, inHand, jobs, material, tape, names }: Props) {
  const bought = toBuy(lay.length / (1 - inHand.shrinks), tape);
  const widths = [...SOLD_WIDTHS[tape]].filter((w) => Math.abs(w - cloth.width) > 20).slice(-ELSEWHERE);
  const others = useElsewhere(
    jobs,
    material,
    widths.map((width) => clothOtherwise(cloth, { width })),
    2500,
  );
  const rows: readonly (readonly [string, React.ReactNode])[] = [
    ["Length needed", <Length key="n" mm={lay.length} tape={tape} unit />],
    [
      inHand.shrinks > 0 ? phrase`To buy, with ${formatShare(inHand.shrinks)} shrink` : "To buy",
      <Length key="b" mm={bought} tape={tape} unit />,
    ],
    [
      inHand.width === null ? "No width chosen: of a usual" : "Of a width of",
      <Length key="w" mm={cloth.width} tape={tape} unit />,
    ],
    ["Cloth used", formatShare(lay.utilisation)],
    [
      "Cannot be under",
      proved !== null ? (
        <Length key="u" mm={proved} tape={tape} unit />
      ) : isProvable(cloth) ? (
        "not proved yet"
      ) : (
        "not proved"
      ),
    ],
    ...(inHand.length !== null
      ? [
          [
            inHand.length >= lay.length ? "Left of what is in hand" : "Missing",
            <Length key="l" mm={Math.abs(inHand.length - lay.length)} tape={tape} unit />,
          ] as const,
        ]
      : []),
    ...(material === "shell"
      ? foldsFor(lay, names).map(
          ([name, wide]) =>
            [phrase`Fold in for the ${inSentence(name)}`, <Length key={name} mm={wide} tape={tape} unit />] as const,
        )
      : []),
    ...(inHand.price !== null ? [["Price", decimal(costOf(bought, inHand.price, tape).toFixed(2))] as const] : []),
    ...widths.map(
      (width, i) =>
        [
          phrase`At ${formatLength(width, tape)} wide`,
          others.length === 0 ? (
            "…"
          ) : others[i] === null || others[i] === undefined ? (
            "cannot"
          ) : (
            <Length key={i} mm={others[i]} tape={tape} unit />
          ),
        ] as const,
    ),
  ];
  return (
    <section aria-label="Figures of the lay">
      <PaneHeading>{capital(material)}</PaneHeading>
      <dl style={{ margin: 0 }}>
        {rows.map(([label, value]) => (
          <div
            key={label}
            style={{
              display: "flex",
              justifyContent: "space-between",
              borderBottom: "1px solid var(--rule)",
              padding: "6px 0",
            }}
          >
            <dt style={{ fontStretch: "85%" }}>{label}</dt>
            <dd style={{ margin: 0, fontWeight: 700 }}>{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
