"use client";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { useState } from "react";
import { MOST_TOGETHER } from "@/core/cloth";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { bundleWash } from "./bundleInk";
import type { Other } from "@/ui/useTogether";

/** Which other garments lie on this cloth: two wearers from one length, or trousers and their top. */
export function Together({
  others,
  onPut,
}: {
  readonly others: readonly Other[];
  readonly onPut: (id: string, isWith: boolean) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  const chosen = others.filter((o) => o.isWith);
  if (others.length === 0) return null;
  return (
    <section aria-label="Also on this cloth" style={{ marginTop: 12 }}>
      <PaneHeading>Also on this cloth</PaneHeading>
      {(isOpen ? others : chosen).map(({ id, job, isWith }) => (
        <FormControlLabel
          key={id}
          sx={{
            display: "flex",
            alignItems: "center",
            borderLeft: `5px solid ${isWith ? bundleWash(1 + chosen.findIndex((c) => c.id === id)) : "transparent"}`,
          }}
          control={
            <Checkbox
              checked={isWith}
              disabled={!isWith && chosen.length >= MOST_TOGETHER}
              onChange={(_, isOn) => onPut(id, isOn)}
            />
          }
          label={
            <span style={{ lineHeight: 1.25 }}>
              {job.name || "Unnamed job"}
              <span style={{ color: "var(--quiet)", display: "block", fontSize: 13 }}>
                {job.body.name || "wearer not named"}
              </span>
            </span>
          }
        />
      ))}
      <Quiet onPress={() => setOpen(!isOpen)}>
        {isOpen ? "Done" : chosen.length > 0 ? "Change what lies on it" : "Lay another garment on it too"}
      </Quiet>
    </section>
  );
}
