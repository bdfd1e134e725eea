"use client";
import { phrase } from "@/core/words";
import { useMemo } from "react";
import { SHOE } from "@/core/derive/shape";
import { wornOf } from "@/core/derive/worn";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { PaneHeading } from "@/ui/StageLayout";
import { WornView } from "@/ui/WornView";

/** The finished garment on its wearer, front and back, from the real girths, with the floor and how far the hem is off it. */
export function FigurePane() {
  const { shape, job } = useOpenJob();
  const tape = useView((v) => v.tape);
  const worn = useMemo(() => shape && wornOf(shape), [shape]);
  if (!shape || !worn) return null;
  const clearance = worn.floor - shape.readings.lowestPoint;
  // A garment as wide as it is tall fills the pane better one view below the other.
  const isWide = 2 * worn.half + 40 > 0.5 * (worn.floor - worn.top + 60);
  return (
    <section aria-label="Silhouette">
      <PaneHeading>On {job.body.name || "the wearer"}, from the real girths</PaneHeading>
      <div style={{ display: "flex", flexDirection: isWide ? "column" : "row", gap: 8 }}>
        {(["front", "back"] as const).map((view) => (
          <WornView
            key={view}
            worn={worn}
            view={view}
            label={phrase`Silhouette, ${view}`}
            style={isWide ? { width: "100%", height: 260 } : { width: "50%", height: 420 }}
          />
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
