"use client";
import { phrase } from "@/core/words";
import { jobInStyle } from "@/core/derive/newJob";
import type { Job } from "@/core/files";
import { STYLES } from "@/core/styles";
import Checkbox from "@mui/material/Checkbox";
import { memo, useMemo, useState } from "react";
import { ownMoves } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { useOpenJob } from "@/ui/JobContext";
import { MiniOutline } from "@/ui/MiniOutline";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { useMiniatures } from "@/ui/useMiniatures";

/** The chosen style is in sight when the shelf opens; the page itself does not move. */
function intoView(button: HTMLButtonElement | null): void {
  const shelf = button?.parentElement;
  if (!button || !shelf) return;
  const left = button.offsetLeft - shelf.offsetLeft;
  if (left + button.offsetWidth > shelf.scrollLeft + shelf.clientWidth || left < shelf.scrollLeft) {
    shelf.scrollLeft = Math.max(0, left - CARD - 8);
  }
}

/** Width of a style's card. */
const CARD = 66;

const STYLE_LIST = Object.values(STYLES);

/** The styles as outlines made by the engine for this wearer; drawn anew only with the card or the choice. */
export function StyleShelf() {
  const { job } = useOpenJob();
  return <Shelf body={job.body} chosenId={job.style.id} />;
}

const Shelf = memo(function Shelf({ body, chosenId }: { readonly body: Job["body"]; readonly chosenId: string }) {
  const [keep, setKeep] = useState(false);
  const [all, setAll] = useState(false);
  const jobs = useMemo(() => STYLE_LIST.map(({ id }) => jobInStyle(id, body)), [body]);
  const drawn = useMiniatures(jobs);
  return (
    <section aria-label="Styles for this wearer" style={{ marginBottom: 6 }}>
      <PaneHeading>Styles for this wearer</PaneHeading>
      <div
        style={{
          display: "grid",
          gap: 8,
          scrollbarWidth: "thin",
          // One row that runs on, so that the worksheet below is in sight; or all of them.
          ...(all
            ? { gridTemplateColumns: `repeat(3, ${CARD}px)` }
            : { gridAutoFlow: "column", gridAutoColumns: CARD, overflowX: "auto", paddingBottom: 4 }),
        }}
      >
        {STYLE_LIST.map((style, i) => {
          const panels = (drawn[i]?.panels ?? []).filter((panel) => panel.is.root !== "back");
          const chosen = style.id === chosenId;
          return (
            <button
              key={style.id}
              type="button"
              aria-pressed={chosen}
              ref={chosen ? intoView : undefined}
              title={style.note}
              onClick={() =>
                !chosen &&
                changeJob((draft) => {
                  draft.style = { id: style.id, params: {} };
                  if (draft.block.school !== "own") draft.block.school = style.school;
                  if (keep) return;
                  delete draft.moves;
                  ownMoves(draft);
                })
              }
              style={{
                width: CARD,
                padding: "4px 0 5px",
                borderRadius: 5,
                border: chosen ? "2px solid var(--text)" : "1px solid var(--rule)",
                background: "var(--field)",
                color: "inherit",
                font: "inherit",
                fontStretch: "80%",
                fontSize: 12,
                fontWeight: chosen ? 700 : 450,
                cursor: chosen ? "default" : "pointer",
              }}
            >
              {panels.length > 0 ? (
                <MiniOutline panels={panels} width={54} height={50} />
              ) : (
                <div style={{ height: 50 }} />
              )}
              <div>{style.label}</div>
            </button>
          );
        })}
      </div>
      <div style={{ display: "flex", alignItems: "center", justifyContent: "space-between", marginTop: 4 }}>
        <label
          title="Choosing another style changes its rules and finishes; the moves stay as they are."
          style={{ display: "flex", alignItems: "center", fontSize: 13, cursor: "pointer" }}
        >
          <Checkbox size="small" sx={{ p: 0.5 }} checked={keep} onChange={(event) => setKeep(event.target.checked)} />
          Keep my moves
        </label>
        <Quiet onPress={() => setAll(!all)}>{all ? "One row" : phrase`All ${STYLE_LIST.length}`}</Quiet>
      </div>
    </section>
  );
});
