"use client";
import Checkbox from "@mui/material/Checkbox";
import { clothOtherwise, FOLDS, type Fold, type LayCloth } from "@/core/cloth";
import { clothOf } from "@/core/derive/cloth";
import type { Job } from "@/core/files";
import type { Material } from "@/core/pattern";
import { formatLength, type Mm, type Tape } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { useOpenJob } from "@/ui/JobContext";
import { JobLengthField } from "@/ui/JobLengthField";
import { PaneHeading } from "@/ui/StageLayout";
import { useElsewhere } from "./useElsewhere";

const WORDS: Readonly<Record<Fold, { readonly word: string }>> = {
  open: { word: "open" },
  lengthwise: { word: "folded" },
  across: { word: "across" },
  partly: { word: "folded, then open" },
};

/** Cloth as it lies, in miniature. */
const PICTURES: Readonly<Record<Fold, string>> = {
  open: "M6 6h44v26h-44z",
  lengthwise: "M6 12h44v13h-44z M6 25h44",
  across: "M6 6h22v26h-22z M28 6v26",
  partly: "M6 14h24v11h-24z M6 25h24 M30 6h20v26h-20z",
};

const inCloth = (draft: Job, more: Partial<NonNullable<Job["cloth"]>>): void => {
  draft.cloth = { ...draft.cloth, ...more };
};

/** How the cloth lies while it is cut: folds, each with the length it takes, nap, repeat and gap. */
export function HowItLies({
  jobs,
  cloth,
  material,
  found,
  tape,
}: {
  readonly jobs: readonly Job[];
  readonly cloth: LayCloth;
  readonly material: Material;
  /** Length of the lay on the table, which was looked for longer than the others; null while there is none. */
  readonly found: Mm | null;
  readonly tape: Tape;
}) {
  const { job } = useOpenJob();
  const read = clothOf(job).cloth;
  const lengths = useElsewhere(
    jobs,
    material,
    FOLDS.map((fold) => clothOtherwise(cloth, { fold })),
    900,
  );
  return (
    <section aria-label="How it lies" style={{ margin: "14px 0" }}>
      <PaneHeading>How it lies</PaneHeading>
      <div style={{ display: "grid", gridTemplateColumns: "repeat(2, 1fr)", gap: 6 }}>
        {FOLDS.map((fold, i) => {
          const isChosen = cloth.fold === fold;
          const length = isChosen && found !== null ? found : lengths[i];
          return (
            <button
              key={fold}
              type="button"
              aria-pressed={isChosen}
              onClick={() => changeJob((draft) => inCloth(draft, { fold }))}
              style={{
                font: "inherit",
                fontSize: 13,
                fontStretch: "85%",
                padding: "4px 2px 6px",
                borderRadius: 5,
                border: isChosen ? "2px solid var(--text)" : "1px solid var(--rule)",
                background: "var(--field)",
                color: "inherit",
                cursor: "pointer",
              }}
            >
              <svg width={56} height={38} aria-hidden>
                <path d={PICTURES[fold]} fill="var(--cloth, #f3e9d7)" stroke="var(--text)" strokeWidth={1.4} />
              </svg>
              <div style={{ fontWeight: isChosen ? 700 : 450 }}>{WORDS[fold].word}</div>
              <div style={{ color: "var(--quiet)" }}>
                {length === undefined ? "…" : length === null ? "cannot" : formatLength(length, tape)}
              </div>
            </button>
          );
        })}
      </div>
      <p style={{ margin: "6px 0 0", color: "var(--quiet)", fontSize: 13 }}>The others are a quick first look.</p>
      {cloth.fold === "lengthwise" || cloth.fold === "partly" ? (
        <JobLengthField
          label="Folded in by"
          path={["cloth", "foldWidth"]}
          mm={read.lies.foldWidth}
          changed={job.cloth?.foldWidth !== undefined}
          prepare={(draft) => inCloth(draft, {})}
        />
      ) : null}
      <label style={{ display: "flex", alignItems: "center", marginTop: 6, cursor: "pointer" }}>
        <Checkbox
          size="small"
          sx={{ p: 0.5 }}
          checked={cloth.nap}
          onChange={(event) => changeJob((draft) => inCloth(draft, { nap: event.target.checked }))}
        />
        one-way (nap)
      </label>
      <JobLengthField
        label="Repeat along it"
        path={["cloth", "repeat", "along"]}
        mm={read.lies.repeat?.along ?? null}
        changed={job.cloth?.repeat !== undefined}
        prepare={(draft) => {
          inCloth(draft, {});
          if (draft.cloth) draft.cloth.repeat ??= { along: "1 cm" };
        }}
      />
      <JobLengthField
        label="Between two pieces"
        path={["cloth", "gap"]}
        mm={read.lies.gap}
        changed={job.cloth?.gap !== undefined}
        prepare={(draft) => inCloth(draft, {})}
      />
    </section>
  );
}
