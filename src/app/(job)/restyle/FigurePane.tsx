"use client";
import { useMemo } from "react";
import { figureOf } from "@/core/body";
import { SHOE } from "@/core/derive";
import { silhouetteOf } from "@/core/inspect";
import { hasLegs, isBodice } from "@/core/pattern";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { PaneHeading } from "@/ui/StageLayout";
import { pathData } from "@/ui/table/layout";

/** The finished garment on its wearer, front and back, from the real girths, with the floor and how far the hem is off it. */
export function FigurePane() {
  const { shape, job } = useOpenJob();
  const tape = useView((v) => v.tape);
  const drawn = useMemo(
    () =>
      shape && {
        // Upper half and arms are drawn where something is worn there.
        figure: figureOf(
          shape.measures,
          shape.panels.some((p) => isBodice(p)),
        ),
        garment: silhouetteOf(shape.panels, shape.plan, shape.measures, SHOE),
      },
    [shape],
  );
  if (!shape || !drawn) return null;
  const { figure, garment } = drawn;
  const clearance = garment.floor - shape.readings.lowestPoint;
  const wide = Math.max(
    260,
    ...garment.outline.flatMap((path) => path.flatMap((s) => s.points.map((p) => Math.abs(p[0])))),
  );
  const tall = garment.floor - figure.top + 60;
  // A garment as wide as it is tall fills the pane better one view below the other.
  const isWide = 2 * wide + 40 > 0.5 * tall;
  const box = `${-wide - 20} ${figure.top - 20} ${2 * wide + 40} ${garment.floor - figure.top + 60}`;
  return (
    <section aria-label="Silhouette">
      <PaneHeading>On {job.body.name || "the wearer"}, from the real girths</PaneHeading>
      <div style={{ display: "flex", flexDirection: isWide ? "column" : "row", gap: 8 }}>
        {(["front", "back"] as const).map((view) => (
          <svg
            key={view}
            viewBox={box}
            role="img"
            aria-label={`Silhouette, ${view}`}
            style={isWide ? { width: "100%", height: 260 } : { width: "50%", height: 420 }}
          >
            {figure.views.front.map((path, i) => (
              <path
                key={i}
                d={pathData(path)}
                fill="none"
                stroke="var(--ghost)"
                strokeWidth={1}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            {garment.outline.map((path, i) => (
              <path
                key={i}
                d={pathData(path)}
                fill="none"
                stroke={`var(--${view})`}
                strokeWidth={2}
                strokeDasharray={view === "back" ? "9 4" : undefined}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            {hasLegs(shape.panels) ? (
              <path
                d={`M0 ${garment.waist}V${shape.plan.levels.crotch + 6}`}
                stroke={`var(--${view})`}
                strokeWidth={1}
                vectorEffect="non-scaling-stroke"
              />
            ) : null}
            <path
              d={`M${-wide - 20} ${garment.floor}H${wide + 20}`}
              stroke="var(--text)"
              strokeWidth={1.5}
              vectorEffect="non-scaling-stroke"
            />
          </svg>
        ))}
      </div>
      <p style={{ margin: "4px 0 0" }}>
        {clearance >= 0 ? (
          <>
            The lowest place of the hem is <Length mm={clearance} tape={tape} unit /> off the floor
          </>
        ) : (
          <>
            The hem lies <Length mm={-clearance} tape={tape} unit /> on the floor: it can trip the wearer
          </>
        )}{" "}
        in shoes of <Length mm={SHOE} tape={tape} unit />.
      </p>
    </section>
  );
}
