"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import { nanoid } from "nanoid";
import { forCupboard, forJob, type CupboardCloth } from "@/core/cloth/cupboard";
import type { ClothLay, LayCloth } from "@/core/cloth";
import { formatSize, readLength, type Mm } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { Offcuts } from "./Offcuts";
import { useCupboard } from "./useCupboard";

interface Props {
  /** Null where there is none of these pieces on this cloth. */
  readonly lay: ClothLay | null;
  readonly cloth: LayCloth;
  /** Length in hand; null where it is bought. */
  readonly length: Mm | null;
}

/** The cloths kept for any job, and what the lay leaves of this one. */
export function Cupboard({ lay, cloth, length }: Props) {
  const { job } = useOpenJob();
  const tape = useView((v) => v.tape);
  const { cloths, keep, remove } = useCupboard();
  const own = job.cloth?.name;
  /** Cloths of one name are told apart by their size. */
  const size = ({ width, length: long }: CupboardCloth): string =>
    formatSize(
      [long, width].flatMap((given) => {
        const read = given === undefined ? null : readLength(given, job.body.unit);
        return read?.ok ? [read.mm] : [];
      }),
      tape,
    );
  return (
    <section aria-label="Cupboard" style={{ marginTop: 12 }}>
      <PaneHeading>Cupboard</PaneHeading>
      {cloths.length === 0 ? (
        <p style={{ color: "var(--quiet)", margin: "4px 0 8px" }}>Cloths kept here can be taken for any job.</p>
      ) : null}
      {cloths.map((kept) => (
        <div
          key={kept.id}
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
              flex: "none",
              borderRadius: 3,
              background: kept.swatch ?? "var(--cloth, #f3e9d7)",
              border: "1px solid var(--rule)",
            }}
          />
          <span style={{ flex: 1 }}>
            <span>{kept.name}</span>
            <span style={{ display: "block", color: "var(--quiet)", fontSize: 13 }}>{size(kept)}</span>
          </span>
          <Quiet
            label={phrase`Take ${kept.name}`}
            onPress={() =>
              changeJob((draft) => {
                draft.cloth = forJob(kept);
              })
            }
          >
            Take
          </Quiet>
          <Quiet label={phrase`Remove ${kept.name}`} onPress={() => void remove(kept)}>
            Remove
          </Quiet>
        </div>
      ))}
      {own ? (
        <Button size="small" onClick={() => void keep(forCupboard(job.cloth ?? {}, own, nanoid(10), job.body.unit))}>
          Keep {own} here
        </Button>
      ) : null}
      {lay && length !== null ? (
        <Offcuts lay={lay} cloth={cloth} length={length} name={own ?? "Cloth"} onKeep={(left) => void keep(left)} />
      ) : null}
    </section>
  );
}
