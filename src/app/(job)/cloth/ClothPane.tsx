"use client";
import { capital } from "@/core/words";
import type { ClothLay, LayCloth } from "@/core/cloth";
import { formatLength, type Mm } from "@/core/units";
import type { Material } from "@/core/pattern";
import { useView } from "@/store/viewStore";
import { ClothFields } from "@/ui/ClothFields";
import { useOpenJob } from "@/ui/JobContext";
import { PaneHeading } from "@/ui/StageLayout";
import { Cupboard } from "./Cupboard";
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
                {capital(m)}
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
      <Cupboard lay={isOld ? null : lay} cloth={cloth} length={length} />
    </>
  );
}
