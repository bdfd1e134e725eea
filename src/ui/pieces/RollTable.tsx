"use client";
import { textOf } from "@/core/units";
import { decimal, phrase } from "@/core/words";
import { panelById, panelMap, panelOutline } from "@/core/pattern";
import MenuItem from "@mui/material/MenuItem";
import Slider from "@mui/material/Slider";
import TextField from "@mui/material/TextField";
import { useMemo, useState } from "react";
import { boxOf } from "@/core/geometry";
import { rollSeam } from "@/core/pieces";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { PanelView } from "@/ui/table/PanelView";
import { Table } from "@/ui/table/Table";

/** Two joined edges rolled along each other, from their shared start, with the running difference. */
export function RollTable() {
  const { proof } = useOpenJob();
  const tape = useView((v) => v.tape);
  const [chosen, setChosen] = useState("side");
  const [share, setShare] = useState(35);
  const seams = useMemo(
    () => (proof?.seams ?? []).filter((s) => (s.how === "equal" || s.how === "eased") && s.lengthA > 30),
    [proof],
  );
  const seam = seams.find((s) => s.id === chosen) ?? seams[0];
  if (!proof || !seam) return <div style={{ padding: 32, color: "var(--quiet)" }}>There is no seam to roll yet.</div>;
  const distance = (share / 100) * Math.max(seam.lengthA, seam.lengthB);
  const rolled = rollSeam(proof.sewn, seam, distance);
  const still = panelById(proof.sewn, rolled.still);
  const rolling = panelMap(panelById(proof.sewn, rolled.rolling), rolled.move);
  const bounds = boxOf([
    ...panelOutline(still),
    ...[0, 1].flatMap((end) => {
      const at = rollSeam(proof.sewn, seam, end * seam.lengthA);
      return panelOutline(panelById(proof.sewn, at.rolling)).map(at.move);
    }),
  ]);
  const difference = seam.lengthA - seam.lengthB;
  return (
    <div style={{ position: "absolute", inset: 0, display: "flex", flexDirection: "column" }}>
      <div style={{ flex: 1, minHeight: 0 }}>
        <Table
          label="Seams rolled on the table"
          bounds={bounds}
          fitKey={`roll-${seam.id}`}
          tape={tape}
          overlay={(view) => (
            <circle
              cx={rolled.at[0] * view.k + view.x}
              cy={rolled.at[1] * view.k + view.y}
              r={8}
              fill="none"
              stroke="var(--chalk)"
              strokeWidth={3.5}
            />
          )}
        >
          <PanelView panel={still} />
          <PanelView panel={rolling} />
        </Table>
      </div>
      <div
        style={{
          display: "grid",
          gridTemplateColumns: "178px 1fr 176px",
          gap: 20,
          alignItems: "center",
          padding: "12px 22px 14px",
          background: "var(--panel)",
          borderTop: "1px solid var(--rule)",
        }}
      >
        <TextField
          select
          value={seam.id}
          slotProps={{ select: { "aria-label": "Seam to roll" } as object }}
          onChange={(event) => setChosen(event.target.value)}
        >
          {seams.map((s) => (
            <MenuItem key={s.id} value={s.id}>
              {textOf(s.label)}
            </MenuItem>
          ))}
        </TextField>
        <Slider
          value={share}
          min={0}
          max={100}
          step={0.5}
          aria-label="How far it is rolled"
          getAriaValueText={(v) => phrase`${v} percent`}
          onChange={(_, next) => setShare(next)}
        />
        <div style={{ fontStretch: "85%", lineHeight: 1.35 }}>
          <div>
            rolled{" "}
            <b>
              <Length mm={rolled.alongA} tape={tape} unit />
            </b>{" "}
            and{" "}
            <b>
              <Length mm={rolled.alongB} tape={tape} unit />
            </b>
          </div>
          <div role="status">
            {Math.abs(difference) < 0.05 ? (
              "They end together."
            ) : (
              <>
                At the end they are <b>{decimal(Math.abs(difference).toFixed(1))} mm</b> apart.
              </>
            )}
          </div>
        </div>
      </div>
    </div>
  );
}
