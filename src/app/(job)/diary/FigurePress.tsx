"use client";
import { phrase } from "@/core/words";
import { useMemo, useState } from "react";
import type { Shape } from "@/core/derive/shape";
import { panelPlaceOf, wornOf } from "@/core/derive/worn";
import type { Point } from "@/core/geometry";
import { WornView } from "@/ui/WornView";
import type { Pressed } from "./OverTable";

interface Props {
  readonly shape: Shape;
  readonly onPress: (pressed: Pressed | null) => void;
}

/** The garment on its wearer, to be pressed where it pulls: what is seen there comes first. */
export function FigurePress({ shape, onPress }: Props) {
  const worn = useMemo(() => wornOf(shape), [shape]);
  const [mark, setMark] = useState<{ readonly root: "front" | "back"; readonly at: Point } | null>(null);
  return (
    <div style={{ display: "flex", height: "100%", padding: 12, gap: 12, boxSizing: "border-box" }}>
      {(["front", "back"] as const).map((root) => (
        <WornView
          key={root}
          worn={worn}
          view={root}
          label={phrase`On the wearer, ${root}: press where it pulls`}
          style={{ flex: 1, minWidth: 0, height: "100%" }}
          mark={mark?.root === root ? mark.at : null}
          onPress={(at) => {
            const point = panelPlaceOf(shape.panels, worn, root, at);
            setMark({ root, at });
            onPress(point && { root, point });
          }}
        />
      ))}
    </div>
  );
}
