"use client";
import { phrase, tongueTag } from "@/core/words";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import dynamic from "next/dynamic";
import { useMemo, useState } from "react";
import { clothOf } from "@/core/derive/cloth";
import { cutShapes, isNearest, JOIN_ALLOWANCE, stripWidth, widerThan, type LayCloth } from "@/core/cloth";
import { USUAL_WIDTH } from "@/core/cloth/sold";
import type { Material } from "@/core/pattern";
import type { Piece } from "@/core/pieces";
import { formatLength, tell } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { FaultNote } from "@/ui/ProofPane";
import { Quiet } from "@/ui/Quiet";
import { StageLayout } from "@/ui/StageLayout";
import { ClothPane } from "./ClothPane";
import { Grains } from "./Grains";
import { HowItLies } from "./HowItLies";
import { LayFigures } from "./LayFigures";
import { LayTable } from "./LayTable";
import { SaveLay } from "./SaveLay";
import { ShortPane } from "./ShortPane";
import { Together } from "./Together";
import { useLay } from "./useLay";
import { useTogether } from "@/ui/useTogether";

// Every number of every move is told in it.
const FitPane = dynamic(() => import("./FitPane").then((m) => m.FitPane), { ssr: false });

const NONE: readonly Piece[] = [];
/** A button of the bar below the lay keeps its words on one line. */
const BAR = { flexShrink: 0, whiteSpace: "nowrap" } as const;

/** Stage 5: how the pieces lie on the cloth, how much of it they take, and how wide the style may be. */
export default function ClothPage() {
  const { id, job, proof } = useOpenJob();
  const tape = useView((v) => v.tape);
  const [material, setMaterial] = useState<Material>("shell");
  const inHand = clothOf(job).cloth;
  const cloth = useMemo((): LayCloth => {
    const { width, liningWidth, lies } = clothOf(job).cloth;
    const own = material === "shell" ? width : material === "lining" ? (liningWidth ?? width) : null;
    return material === "shell"
      ? { width: own ?? USUAL_WIDTH.shell, ...lies }
      : { width: own ?? USUAL_WIDTH[material], fold: "open", foldWidth: null, nap: false, gap: lies.gap, repeat: null };
  }, [job, material]);
  const length = material === "shell" ? inHand.length : null;
  const { isRead, others, laid, put } = useTogether(id, job);
  // Laid before that is known, a shared lay would be taken for an old one and written over.
  const laying = useLay(id, laid, material, isRead ? cloth : null);
  const { lay, complaint } = laying;
  const names = useMemo(() => new Map(laying.pieces.map((p) => [p.id, p] as const)), [laying.pieces]);
  const joined = job.cloth?.joined ?? [];
  const setJoined = (pieces: readonly string[]): void =>
    changeJob((draft) => {
      draft.cloth = { ...draft.cloth, joined: [...pieces] };
      if (pieces.length === 0) delete draft.cloth.joined;
    });
  // What is wider than the cloth, and not joined yet.
  const wide = useMemo(
    () =>
      complaint
        ? widerThan(cutShapes(proof?.pieces ?? [], material), stripWidth(cloth)).filter(
            (piece) => !job.cloth?.joined?.includes(piece),
          )
        : [],
    [complaint, proof, material, cloth, job],
  );
  const isNearestLay = lay !== null && laying.proved !== null && isNearest(lay.length, laying.proved);
  const saved = lay && laying.first !== null ? laying.first - lay.length : 0;
  return (
    <StageLayout
      worksheetLabel="Cloth"
      worksheetWidth={264}
      worksheet={
        <>
          <FaultNote />
          <ClothPane
            material={material}
            materials={laying.materials}
            onMaterial={setMaterial}
            lay={lay}
            isOld={laying.isOld}
            cloth={cloth}
            length={length}
          />
          {material === "shell" && !cloth.outline ? (
            <HowItLies
              jobs={laid}
              cloth={cloth}
              material={material}
              found={laying.isOld ? null : (lay?.length ?? null)}
              tape={tape}
            />
          ) : null}
          {material === "shell" ? <Grains pieces={proof?.pieces ?? NONE} /> : null}
          <Together others={others} onPut={put} />
          <p style={{ color: "var(--quiet)", lineHeight: 1.4, margin: "12px 0" }}>
            Pull a piece: it slides along the others. Double-click or L locks it, T turns it end for end, M lays it face
            down; then lay the rest again around it.
          </p>
        </>
      }
      table={
        <div style={{ display: "flex", flexDirection: "column", height: "100%" }}>
          <div style={{ flex: 1, minHeight: 0 }}>
            {complaint ? (
              <div style={{ padding: 32, fontSize: 17, lineHeight: 1.45, maxWidth: 560 }}>
                <p role="alert">{tell(complaint.says, tape)}</p>
                {wide.length > 0 ? (
                  <Button variant="outlined" onClick={() => setJoined([...new Set([...joined, ...wide])])}>
                    Join it along the grain, where it shows least
                  </Button>
                ) : null}
                {complaint.path === "cloth.joined" ? (
                  <Button variant="outlined" onClick={() => setJoined([])}>
                    Do not join
                  </Button>
                ) : null}
              </div>
            ) : lay ? (
              <LayTable
                lay={lay}
                cloth={cloth}
                inHand={length}
                material={material}
                names={names}
                tape={tape}
                laying={laying}
              />
            ) : (
              <p style={{ padding: 32, color: "var(--quiet)" }}>Laying the pieces.</p>
            )}
          </div>
          <div
            aria-live="polite"
            style={{
              display: "flex",
              alignItems: "center",
              gap: 14,
              padding: "10px 18px",
              borderTop: "1px solid var(--rule)",
              background: "var(--panel)",
              minHeight: 40,
            }}
          >
            <div style={{ flex: laying.isLooking ? 1 : 0 }}>
              {laying.isLooking ? <LinearProgress aria-label="Looking for a shorter lay" /> : null}
            </div>
            <span style={{ flex: 1 }}>
              {laying.isOld
                ? "The pieces or the cloth have changed since this was laid."
                : laying.isLooking
                  ? saved > 1
                    ? phrase`keeps looking, ${formatLength(saved, tape)} saved so far`
                    : "keeps looking"
                  : lay
                    ? phrase`${laying.locked.size > 0 ? phrase`${laying.locked.size} locked. ` : ""}Looked ${laying.steps.toLocaleString(tongueTag() === "en" ? "en-GB" : tongueTag())} times.${isNearestLay ? " No lay is 2 percent shorter." : ""}`
                    : ""}
            </span>
            {lay ? <SaveLay title={job.name} lay={lay} cloth={cloth} names={names} tape={tape} /> : null}
            {laying.isLooking ? (
              <Button variant="outlined" onClick={laying.stop}>
                Stop
              </Button>
            ) : (
              <>
                {laying.locked.size > 0 ? (
                  <Button variant="outlined" sx={BAR} onClick={() => void laying.look(null, true)}>
                    Lay the rest again
                  </Button>
                ) : null}
                <Button variant="outlined" sx={BAR} onClick={() => void laying.look(null, false)}>
                  Look on
                </Button>
              </>
            )}
          </div>
        </div>
      }
      readings={
        <>
          {joined.length > 0 && lay ? (
            <p style={{ margin: "0 0 12px", lineHeight: 1.45 }}>
              Joined along the grain where wider than the cloth, {formatLength(JOIN_ALLOWANCE, tape)} on both sides of
              the join; sew it before anything else, and notch both edges alike.{" "}
              <Quiet onPress={() => setJoined([])}>Do not join</Quiet>
            </p>
          ) : null}
          {lay ? (
            <LayFigures
              names={names}
              lay={lay}
              proved={laying.proved}
              cloth={cloth}
              inHand={inHand}
              jobs={laid}
              material={material}
              tape={tape}
            />
          ) : null}
          {material === "shell" && lay ? <ShortPane jobs={laid} cloth={cloth} tape={tape} /> : null}
          {material === "shell" && inHand.length !== null ? (
            <FitPane
              others={laid.slice(1)}
              cloth={cloth}
              length={inHand.length}
              tape={tape}
              locked={laying.locked}
              laid={laying.isOld ? null : lay}
            />
          ) : null}
        </>
      }
    />
  );
}
