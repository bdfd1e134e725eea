"use client";
import { phrase } from "@/core/words";
import type { LayCloth } from "@/core/cloth";
import { cornerToAdd, stripOutline } from "@/core/cloth/corners";
import { MOST_CORNERS, type Cloth } from "@/core/cloth/schema";
import type { Point } from "@/core/geometry";
import { formatLength, keptText, plain, readLength, tell, type Mm, type Tape, type Unit } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { useOpenJob } from "@/ui/JobContext";
import { LengthField } from "@/ui/LengthField";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { pathOf } from "./LayPiece";

type Corner = NonNullable<Cloth["outline"]>[number];

const cornerOf = ([x, y]: Point): Corner => [`${plain(x)} mm`, `${plain(y)} mm`];

interface Props {
  readonly cloth: LayCloth;
  /** Length in hand; null where it is bought. */
  readonly length: Mm | null;
  readonly tape: Tape;
}

/** The corners of a remnant: how far each is along the cloth and across it. */
export function RemnantFields({ cloth, length, tape }: Props) {
  const { job, fault } = useOpenJob();
  const { outline } = cloth;
  const set = (corners: readonly Corner[] | null): void =>
    changeJob((draft) => {
      draft.cloth = { ...draft.cloth };
      if (corners) draft.cloth.outline = corners.map((c): Corner => [...c]);
      else delete draft.cloth.outline;
    });
  const stated = job.cloth?.outline;
  if (!stated) {
    if (length === null) return null;
    const whole = stripOutline(0, length, cloth.width);
    return (
      <p style={{ margin: "6px 0" }}>
        <Quiet onPress={() => set(whole.map(cornerOf))}>It is a remnant: give its corners</Quiet>
      </p>
    );
  }
  const says = fault?.errors.find((e) => e.path.startsWith("cloth.outline"))?.says;
  const more = outline && cornerToAdd(outline);
  return (
    <section aria-label="Corners of the remnant" style={{ margin: "10px 0" }}>
      <PaneHeading>Corners of the remnant</PaneHeading>
      {outline ? (
        <svg
          viewBox={`-30 -30 ${(length ?? 0) + 60} ${cloth.width + 60}`}
          style={{ width: "100%", maxHeight: 120, transform: "scaleY(-1)" }}
          role="img"
          aria-label="Outline of the remnant"
        >
          <path
            d={pathOf(outline)}
            fill="var(--cloth, #f3e9d7)"
            stroke="var(--text)"
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
          />
        </svg>
      ) : null}
      {says ? <p role="alert">{tell(says, tape)}</p> : null}
      <div style={{ display: "grid", gridTemplateColumns: "18px 1fr 1fr auto", gap: 6, alignItems: "center" }}>
        <span />
        <span style={{ color: "var(--quiet)" }}>along</span>
        <span style={{ color: "var(--quiet)" }}>across</span>
        <span />
        {stated.map((corner, i) => (
          <CornerRow
            key={i}
            n={i + 1}
            at={corner}
            unit={job.body.unit}
            tape={tape}
            onChange={(which, text) =>
              set(
                stated.map((c, k): Corner => {
                  if (k !== i) return c;
                  const kept = keptText(text, tape, job.body.unit);
                  return which === 0 ? [kept, corner[1]] : [corner[0], kept];
                }),
              )
            }
            onRemove={stated.length > 3 ? () => set(stated.filter((_, k) => k !== i)) : null}
          />
        ))}
      </div>
      <p style={{ margin: "6px 0", display: "flex", gap: 14 }}>
        {more && stated.length < MOST_CORNERS ? (
          <Quiet
            onPress={() =>
              set([...stated.slice(0, more.after + 1), cornerOf(more.at), ...stated.slice(more.after + 1)])
            }
          >
            One more corner
          </Quiet>
        ) : null}
        <Quiet onPress={() => set(null)}>It is a whole strip</Quiet>
      </p>
    </section>
  );
}

function CornerRow({
  n,
  at,
  unit,
  tape,
  onChange,
  onRemove,
}: {
  readonly n: number;
  readonly at: Corner;
  /** What bare numbers are on the card. */
  readonly unit: Unit;
  readonly tape: Tape;
  readonly onChange: (which: 0 | 1, text: string) => void;
  readonly onRemove: (() => void) | null;
}) {
  return (
    <>
      <span style={{ color: "var(--quiet)" }}>{n}</span>
      {([0, 1] as const).map((which) => {
        const read = readLength(at[which], unit);
        return (
          <LengthField
            key={which}
            label={phrase`Corner ${n}, ${which === 0 ? "along" : "across"}`}
            hideLabel
            text={read.ok ? formatLength(read.mm, tape) : String(at[which])}
            unit={tape}
            tape={tape}
            onCommit={(text) => onChange(which, text)}
          />
        );
      })}
      {onRemove ? (
        <Quiet label={phrase`Remove corner ${n}`} onPress={onRemove}>
          Remove
        </Quiet>
      ) : (
        <span />
      )}
    </>
  );
}
