"use client";
import { bodice as bodiceMove } from "@/core/moves/bodice";
import { isLineOf } from "@/core/moves/given";
import Button from "@mui/material/Button";
import dynamic from "next/dynamic";
import { useState } from "react";
import { isBodice } from "@/core/pattern";
import { useOpenJob } from "@/ui/JobContext";

const OwnBlockDialog = dynamic(() => import("./OwnBlockDialog").then((m) => m.OwnBlockDialog), { ssr: false });

/** Where the bodice comes from, in a job that has one: drafted, or brought in by its maker. */
export function OwnBodicePane() {
  const { job, shape } = useOpenJob();
  const [open, setOpen] = useState(false);
  const { bodice } = job.block;
  const isWorn = shape?.drafted.panels.some((p) => isBodice(p)) ?? false;
  if (!bodice && !isWorn) return null;
  const isTaken = shape?.moves.some((line) => line.on && isLineOf(line, bodiceMove) && line.params.school === "own");
  return (
    <section aria-label="Bodice" style={{ borderTop: "1px solid var(--rule)", marginTop: 14, paddingTop: 10 }}>
      <p style={{ margin: "0 0 10px" }}>
        {bodice ? (
          <>
            <b>{bodice.name ?? "Bodice brought in"}.</b>{" "}
            {isTaken
              ? "It stays as it is when the card changes. Its edges and darts are not redrawn; style lines, folds and the seam at the waist work as on any other."
              : "It is kept, but the bodice is drafted now: choose it on the bodice’s line of Restyle."}
          </>
        ) : (
          "The bodice is drafted from the upper card. One that already fits can be brought in instead, as SVG or DXF."
        )}
      </p>
      <Button variant="outlined" onClick={() => setOpen(true)}>
        {bodice ? "Bring in another bodice" : "Bring in a bodice"}
      </Button>
      {open ? <OwnBlockDialog what="bodice" onClose={() => setOpen(false)} /> : null}
    </section>
  );
}
