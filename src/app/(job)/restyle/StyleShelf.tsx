"use client";
import type { Job } from "@/core/files";
import { STYLES } from "@/core/styles";
import { isOf } from "@/core/drafting";
import Checkbox from "@mui/material/Checkbox";
import { memo, useMemo, useState } from "react";
import { changeJob, ownMoves } from "@/store/jobStore";
import { useOpenJob } from "@/ui/JobContext";
import { MiniOutline } from "@/ui/MiniOutline";
import { PaneHeading } from "@/ui/StageLayout";
import { useMiniatures } from "@/ui/useMiniatures";

/** The chosen style is in sight when the shelf opens; the page itself does not move. */
function intoView(button: HTMLButtonElement | null): void {
  const shelf = button?.parentElement;
  if (!button || !shelf) return;
  const top = button.offsetTop - shelf.offsetTop;
  if (top + button.offsetHeight > shelf.scrollTop + shelf.clientHeight || top < shelf.scrollTop) {
    shelf.scrollTop = Math.max(0, top - 40);
  }
}

const STYLE_LIST = Object.values(STYLES);

/** The styles as outlines made by the engine for this wearer; drawn anew only with the card or the choice. */
export function StyleShelf() {
  const { job } = useOpenJob();
  return <Shelf body={job.body} chosenId={job.style.id} />;
}

const Shelf = memo(function Shelf({ body, chosenId }: { readonly body: Job["body"]; readonly chosenId: string }) {
  const [keep, setKeep] = useState(false);
  const jobs = useMemo(
    () =>
      STYLE_LIST.map((style): Job => ({
        format: "eland-job",
        version: 1,
        name: "",
        body,
        block: { school: style.school, rules: {} },
        style: { id: style.id, params: {} },
      })),
    [body],
  );
  const drawn = useMiniatures(jobs);
  return (
    <section aria-label="Styles for this wearer" style={{ marginBottom: 18 }}>
      <PaneHeading>Styles for this wearer</PaneHeading>
      <div
        style={{
          display: "grid",
          gridTemplateColumns: "repeat(3, 66px)",
          gap: 8,
          // Two rows and the top of a third, which says that there are more.
          maxHeight: 214,
          overflowY: "auto",
          scrollbarWidth: "thin",
        }}
      >
        {STYLE_LIST.map((style, i) => {
          const panels = (drawn[i]?.panels ?? []).filter((panel) => !isOf(panel.id, "back"));
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
                width: 66,
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
      <label style={{ display: "flex", alignItems: "center", fontSize: 13, marginTop: 4, cursor: "pointer" }}>
        <Checkbox size="small" sx={{ p: 0.5 }} checked={keep} onChange={(event) => setKeep(event.target.checked)} />
        Keep my moves when choosing another
      </label>
    </section>
  );
});
