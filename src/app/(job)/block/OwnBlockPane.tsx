"use client";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import dynamic from "next/dynamic";
import { useState } from "react";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { altersOwnBlock, ruleRowOf } from "@/core/drafting";
import { ruleChanges } from "@/core/fitting/apply";
import { keptText, readLength, formatLength } from "@/core/units";
import { faultAt, useOpenJob } from "@/ui/JobContext";
import { FittingNotes } from "@/ui/FittingNotes";
import { LengthField } from "@/ui/LengthField";

const OwnBlockDialog = dynamic(() => import("./OwnBlockDialog").then((m) => m.OwnBlockDialog), { ssr: false });

/** The block a maker brought in: where it came from, what it still holds beyond its seam lines, and bringing in another. */
export function OwnBlockPane() {
  const { job, fault, shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  const [open, setOpen] = useState(false);
  const { own } = job.block;
  const corrected = [...new Set(ruleChanges(job.fittings ?? []).map(({ rule }) => rule))].filter(altersOwnBlock);
  const held = own?.allowance;
  const single = held !== undefined && (typeof held !== "object" || "value" in held) ? held : undefined;
  const read = single === undefined ? null : readLength(single, job.body.unit);
  const setAllowance = (text: string): void =>
    changeJob((draft) => {
      if (!draft.block.own) return;
      if (text === "") delete draft.block.own.allowance;
      else draft.block.own.allowance = keptText(text, tape, job.body.unit);
    });
  return (
    <section aria-label="Own block">
      {own ? (
        <>
          <p style={{ margin: "0 0 10px" }}>
            <b>{own.name ?? "Block brought in"}.</b> It stays as it is when the card changes; the proof holds it against{" "}
            {job.body.name || "the wearer"} all the same.
          </p>
          <div style={{ display: "grid", gridTemplateColumns: "1fr 128px", gap: 8, alignItems: "start" }}>
            <span style={{ fontStretch: "85%", paddingTop: 5 }}>It has allowances of</span>
            <LengthField
              label="It has allowances of"
              hideLabel
              allowEmpty
              text={read?.ok ? formatLength(read.mm, tape) : ""}
              placeholder={typeof held === "object" && !("value" in held) ? "edge by edge" : "none"}
              unit={tape}
              tape={tape}
              error={faultAt(fault, "block.own.allowance", tape)}
              helper="Taken off at every edge."
              onCommit={setAllowance}
            />
          </div>
          <label style={{ display: "grid", gridTemplateColumns: "1fr auto", alignItems: "center", minHeight: 34 }}>
            <span style={{ fontStretch: "85%" }}>Make side and inseam agree</span>
            <Checkbox
              size="small"
              checked={own.reconcile ?? false}
              onChange={(event) =>
                changeJob((draft) => {
                  if (draft.block.own) draft.block.own.reconcile = event.target.checked;
                })
              }
            />
          </label>
          {shape ? (
            <p style={{ color: "var(--quiet)", marginTop: 4 }}>
              Its grain runs along the crease you placed. Restyle it as any other block.
            </p>
          ) : null}
          {corrected.length > 0 ? (
            <section aria-label="Corrected by fittings" style={{ marginBottom: 12 }}>
              <h3 style={{ fontSize: 14, margin: "0 0 4px" }}>Corrected by fittings</h3>
              {corrected.map((rule) => (
                <div key={rule}>
                  {ruleRowOf(rule)?.param.label ?? rule}
                  <FittingNotes changes={(change) => "rule" in change && change.rule === rule} />
                </div>
              ))}
            </section>
          ) : null}
        </>
      ) : (
        <p style={{ margin: "0 0 12px" }}>
          Bring in the outline of front and back as SVG or DXF. You say where waist, hip, crotch, knee, hem and crease
          are; allowances are taken off.
        </p>
      )}
      <Button variant={own ? "outlined" : "contained"} onClick={() => setOpen(true)}>
        {own ? "Bring in another" : "Bring in a block"}
      </Button>
      {open ? <OwnBlockDialog what="legs" onClose={() => setOpen(false)} /> : null}
    </section>
  );
}
