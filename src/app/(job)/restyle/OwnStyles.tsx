"use client";
import { phrase } from "@/core/words";
import { useView } from "@/store/viewStore";
import { UNDOABLE } from "@/ui/undoable";
import { tell, NOTHING } from "@/core/units";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { nanoid } from "nanoid";
import { useSnackbar } from "notistack";
import { memo, useCallback, useEffect, useMemo, useState } from "react";
import { jobOn, ownStyleOf, takeStyle } from "@/core/derive/versions";
import type { Job } from "@/core/files";
import { keepStyle, listStyles, removeStyle, type StoredStyle } from "@/store/database";
import { changeJob } from "@/store/jobStore";
import { useOpenJob } from "@/ui/JobContext";
import { MiniOutline } from "@/ui/MiniOutline";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { useMiniatures } from "@/ui/useMiniatures";

/** Styles someone made here: the job's rules, moves and finishes under a name, to be used on any wearer. */
export function OwnStyles() {
  const { job } = useOpenJob();
  const { enqueueSnackbar } = useSnackbar();
  const [styles, setStyles] = useState<readonly StoredStyle[]>([]);
  const [name, setName] = useState<string | null>(null);
  const reload = useCallback(
    () =>
      listStyles().then(
        ({ records }) => setStyles(records),
        () => setStyles([]),
      ),
    [],
  );
  useEffect(() => {
    let wanted = true;
    listStyles().then(
      ({ records }) => wanted && setStyles(records),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, []);

  async function keep(): Promise<void> {
    const called = (name ?? "").trim();
    if (called === "") {
      enqueueSnackbar(phrase`Give the style a name first.`, { variant: "warning" });
      return;
    }
    try {
      await keepStyle(ownStyleOf(job, nanoid(8), called.slice(0, 80), new Date().toISOString().slice(0, 10)));
      await reload();
      setName(null);
    } catch {
      enqueueSnackbar(phrase`The browser's store is full or blocked, so the style was not kept.`, { variant: "error" });
    }
  }

  return (
    <section aria-label="My styles" style={{ marginBottom: 14 }}>
      {styles.length > 0 ? <PaneHeading>My styles</PaneHeading> : null}
      <Shelf body={job.body} styles={styles} onRemove={(id) => void removeStyle(id).then(reload)} />
      {name === null ? (
        <Quiet onPress={() => setName("")}>Keep this as a style of mine</Quiet>
      ) : (
        <form
          style={{ display: "flex", gap: 8, marginTop: 6 }}
          onSubmit={(event) => {
            event.preventDefault();
            void keep();
          }}
        >
          <TextField
            autoFocus
            fullWidth
            label="Name of the style"
            value={name}
            slotProps={{ htmlInput: { maxLength: 80, autoComplete: "off" } }}
            onChange={(event) => setName(event.target.value)}
            onKeyDown={(event) => event.key === "Escape" && setName(null)}
          />
          <Button type="submit" variant="outlined">
            Keep
          </Button>
        </form>
      )}
    </section>
  );
}

interface ShelfProps {
  readonly body: Job["body"];
  readonly styles: readonly StoredStyle[];
  readonly onRemove: (id: string) => void;
}

/** The outlines of one's own styles on this wearer, drawn anew only with the card or the list. */
const Shelf = memo(
  function Shelf({ body, styles, onRemove }: ShelfProps) {
    const { enqueueSnackbar } = useSnackbar();
    const tape = useView((v) => v.tape);
    const jobs = useMemo(() => styles.map(({ style }) => jobOn(body, style)), [body, styles]);
    const drawn = useMiniatures(jobs);
    return (
      <ul style={{ listStyle: "none", margin: "0 0 6px", padding: 0 }}>
        {styles.map(({ id, style }, i) => (
          <li key={id} style={{ display: "flex", alignItems: "center", gap: 8, borderTop: "1px solid var(--rule)" }}>
            <MiniOutline
              panels={(drawn[i]?.panels ?? []).filter((panel) => panel.is.root !== "back")}
              width={30}
              height={34}
            />
            <Button
              sx={{ px: 0, flex: 1, justifyContent: "start", textAlign: "left" }}
              title={tell(drawn[i]?.message ?? NOTHING, tape) || undefined}
              onClick={() => {
                changeJob((draft) => takeStyle(draft, style));
                enqueueSnackbar(phrase`“${style.name}” is on the table.`, UNDOABLE);
              }}
            >
              {style.name}
            </Button>
            <Button
              sx={{ minWidth: 0, px: 0.5 }}
              aria-label={phrase`Remove the style ${style.name}`}
              onClick={() => onRemove(id)}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
    );
  },
  (a, b) => a.body === b.body && a.styles === b.styles,
);
