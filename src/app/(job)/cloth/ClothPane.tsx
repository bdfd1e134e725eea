"use client";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { forJob, forCupboard, type CupboardCloth } from "@/core/cloth/cupboard";
import type { ClothLay, LayCloth } from "@/core/cloth";
import { formatLength, type Mm } from "@/core/units";
import type { Material } from "@/core/pattern";
import { keepCloth, listCloths, removeCloth } from "@/store/layStore";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { ClothFields } from "@/ui/ClothFields";
import { useOpenJob } from "@/ui/JobContext";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { Offcuts } from "./Offcuts";
import { RemnantFields } from "./RemnantFields";

interface Props {
  readonly material: Material;
  readonly materials: readonly Material[];
  readonly onMaterial: (material: Material) => void;
  readonly lay: ClothLay | null;
  /** It was made for other pieces, or another cloth. */
  readonly isOld: boolean;
  readonly cloth: LayCloth;
  /** Length in hand; null where it is bought. */
  readonly length: Mm | null;
}

/** The cloths of a job, what is said of the shell, and the cupboard they come from. */
export function ClothPane({ material, materials, onMaterial, lay, isOld, cloth, length }: Props) {
  const { job } = useOpenJob();
  const tape = useView((v) => v.tape);
  const [cloths, setCloths] = useState<readonly CupboardCloth[]>([]);
  const reload = (): void => void listCloths().then(setCloths, () => undefined);
  useEffect(reload, []);
  return (
    <>
      <section aria-label="Cloths of this job">
        <PaneHeading>Cloths of this job</PaneHeading>
        {(materials.length > 0 ? materials : (["shell"] as const)).map((m) => {
          const isChosen = m === material;
          return (
            <button
              key={m}
              type="button"
              aria-pressed={isChosen}
              onClick={() => onMaterial(m)}
              style={{
                all: "unset",
                boxSizing: "border-box",
                display: "block",
                width: "calc(100% + 32px)",
                margin: "0 -16px",
                padding: "8px 16px 8px 13px",
                borderLeft: `3px solid ${isChosen ? "var(--chalk)" : "transparent"}`,
                background: isChosen ? "var(--chalk-wash)" : undefined,
                cursor: "pointer",
              }}
            >
              <div style={{ fontWeight: 650 }}>
                {m[0]?.toUpperCase()}
                {m.slice(1)}
                {m === "shell" && job.cloth?.name ? `, ${job.cloth.name}` : ""}
              </div>
              {isChosen && lay ? (
                <div style={{ color: "var(--quiet)" }}>
                  {lay.placements.reduce((n, p) => n + (p.onFold ? 1 : p.layers - p.spare), 0)} pieces,{" "}
                  {formatLength(lay.length, tape)}
                </div>
              ) : null}
            </button>
          );
        })}
      </section>
      {material === "shell" ? <ClothFields /> : null}
      {material === "shell" ? <RemnantFields cloth={cloth} length={length} tape={tape} /> : null}
      <section aria-label="Cupboard" style={{ marginTop: 12 }}>
        <PaneHeading>Cupboard</PaneHeading>
        {cloths.length === 0 ? (
          <p style={{ color: "var(--quiet)", margin: "4px 0 8px" }}>Cloths kept here can be taken for any job.</p>
        ) : null}
        {cloths.map((cloth) => (
          <div
            key={cloth.id}
            style={{
              display: "flex",
              alignItems: "center",
              gap: 8,
              borderBottom: "1px solid var(--rule)",
              padding: "5px 0",
            }}
          >
            <span
              aria-hidden
              style={{
                width: 16,
                height: 16,
                borderRadius: 3,
                background: cloth.swatch ?? "var(--cloth, #f3e9d7)",
                border: "1px solid var(--rule)",
              }}
            />
            <span style={{ flex: 1 }}>{cloth.name}</span>
            <Quiet
              onPress={() =>
                changeJob((draft) => {
                  draft.cloth = forJob(cloth);
                })
              }
            >
              Take
            </Quiet>
            <Quiet onPress={() => void removeCloth(cloth.id).then(reload)}>Remove</Quiet>
          </div>
        ))}
        {job.cloth?.name ? (
          <Button
            size="small"
            onClick={() => {
              const { name } = job.cloth ?? {};
              if (!name) return;
              void keepCloth(forCupboard(job.cloth ?? {}, name, name.toLowerCase().slice(0, 40), job.body.unit)).then(
                reload,
              );
            }}
          >
            Keep {job.cloth.name} here
          </Button>
        ) : null}
        {lay && !isOld && length !== null ? (
          <Offcuts lay={lay} cloth={cloth} length={length} name={job.cloth?.name ?? "Cloth"} onKept={reload} />
        ) : null}
      </section>
    </>
  );
}
