"use client";
import { inSentence, phrase } from "@/core/words";
import { toileOf } from "@/core/diary";
import type { KeptEntry } from "@/store/diaryStore";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { dayOf } from "@/ui/dayOf";
import { KINDS } from "./kinds";
import { PhotoStrip } from "./PhotoStrip";

interface Props {
  readonly name: string;
  readonly pages: readonly KeptEntry[];
  readonly unreadable: number;
  readonly busy: boolean;
  readonly chosen: string | null;
  readonly onChoose: (id: string | null) => void;
  readonly onPass: (page: KeptEntry, passed: boolean) => void;
  readonly onRemove: (page: KeptEntry) => void;
  readonly onPhotos: (page: KeptEntry, files: readonly File[]) => void;
  readonly onDropPhoto: (page: KeptEntry, photo: string) => void;
}

const GATE = {
  none: "No toile yet. Good cloth waits until one is passed; Make says how to cut without.",
  failed: "The toile was not passed. Good cloth waits until the next one is.",
  passed: "The toile is passed: good cloth may be cut.",
} as const;

/** What happened to a job, page by page, oldest first. */
export function EntryList(props: Props) {
  const { pages, chosen } = props;
  return (
    <section aria-label="Pages of the diary">
      <PaneHeading>{props.name || "This job"}, so far</PaneHeading>
      {pages.length === 0 ? <p style={{ color: "var(--quiet)", margin: "0 0 12px" }}>Nothing is written yet.</p> : null}
      <ul style={{ listStyle: "none", margin: "0 -16px", padding: 0 }}>
        {pages.map((page) => (
          <Page key={page.id} page={page} isChosen={page.id === chosen} {...props} />
        ))}
      </ul>
      {props.unreadable > 0 ? (
        <p role="status" style={{ color: "var(--look)" }}>
          {props.unreadable} {props.unreadable === 1 ? "page was" : "pages were"} written by another Eland and cannot be
          read here. They stay as they are.
        </p>
      ) : null}
      <div style={{ padding: "10px 0", borderTop: "1px solid var(--rule)" }}>
        <b>The gate</b>
        <div style={{ color: "var(--quiet)", lineHeight: 1.4 }}>{GATE[toileOf(pages.map((p) => p.entry))]}</div>
      </div>
    </section>
  );
}

function Page({
  page,
  isChosen,
  busy,
  onChoose,
  onPass,
  onRemove,
  onPhotos,
  onDropPhoto,
}: Props & { readonly page: KeptEntry; readonly isChosen: boolean }) {
  const { entry } = page;
  return (
    <li
      style={{
        borderBottom: "1px solid var(--rule)",
        borderLeft: `5px solid ${isChosen ? "var(--chalk)" : "transparent"}`,
        background: isChosen ? "var(--chalk-wash)" : undefined,
        padding: "8px 16px 8px 11px",
        lineHeight: 1.4,
      }}
    >
      <button
        type="button"
        aria-expanded={isChosen}
        onClick={() => onChoose(isChosen ? null : page.id)}
        style={{ all: "unset", cursor: "pointer", display: "block", width: "100%" }}
      >
        <b>
          {dayOf(entry.date)}, {inSentence(KINDS[entry.kind].label)}
          {entry.passed === undefined ? "" : entry.passed ? ", passed" : ", not passed"}
        </b>
        {entry.words ? <div style={{ whiteSpace: "pre-wrap" }}>{entry.words}</div> : null}
        <div style={{ color: "var(--quiet)" }}>
          {[
            entry.pattern && phrase`pattern “${entry.pattern.name}”`,
            entry.cloth,
            entry.card?.taken && phrase`card of ${dayOf(entry.card.taken)}`,
            entry.cut?.length && phrase`${entry.cut.length} pieces cut`,
            entry.photos.length > 0 && !isChosen && phrase`${entry.photos.length} photos`,
          ]
            .filter(Boolean)
            .join(", ")}
        </div>
      </button>
      {isChosen ? (
        <>
          <PhotoStrip
            page={page}
            busy={busy}
            onAdd={(files) => onPhotos(page, files)}
            onDrop={(photo) => onDropPhoto(page, photo)}
          />
          <div style={{ display: "flex", gap: 14, marginTop: 6 }}>
            {entry.kind === "toile" ? (
              <Quiet onPress={() => onPass(page, !entry.passed)}>
                {entry.passed ? "Not passed after all" : "Pass it"}
              </Quiet>
            ) : null}
            <Quiet onPress={() => onRemove(page)}>Take the page out</Quiet>
          </div>
        </>
      ) : null}
    </li>
  );
}
