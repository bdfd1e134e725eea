"use client";
import Button from "@mui/material/Button";
import { proxy } from "comlink";
import { useRef, useState } from "react";
import type { LayCloth } from "@/core/cloth";
import type { Saving } from "@/core/derive/shortCloth";
import type { Job } from "@/core/files";
import type { Tape } from "@/core/units";
import { applyChanges } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { listCloths } from "@/store/layStore";
import { Length } from "@/ui/Length";
import { Quiet } from "@/ui/Quiet";
import { Sentence } from "@/ui/Sentence";
import { PaneHeading } from "@/ui/StageLayout";
import { besideTheLay } from "@/workers/client";

/** What would bring short cloth in, each with what it saves, and one press to do it. */
export function ShortPane({
  jobs,
  cloth,
  tape,
}: {
  readonly jobs: readonly [Job, ...Job[]];
  readonly cloth: LayCloth;
  readonly tape: Tape;
}) {
  const [found, setFound] = useState<readonly Saving[] | null>(null);
  const [busy, setBusy] = useState(false);
  const run = useRef(0);

  async function look(): Promise<void> {
    const own = ++run.current;
    setBusy(true);
    setFound([]);
    try {
      const cupboard = await listCloths().catch(() => []);
      await besideTheLay((face) =>
        face.savings(
          jobs,
          cloth,
          cupboard,
          proxy((saving: Saving) => run.current === own && setFound((now) => [...(now ?? []), saving])),
        ),
      );
    } catch {
      // The worker was ended; what was found until then stays.
    } finally {
      if (run.current === own) setBusy(false);
    }
  }
  const sorted = [...(found ?? [])].sort((a, b) => b.saves - a.saves);
  return (
    <section aria-label="Cloth is short" style={{ marginTop: 18 }}>
      <PaneHeading>Cloth is short? What would bring it in</PaneHeading>
      {sorted.map((saving, i) => (
        <div
          key={i}
          style={{
            display: "grid",
            gridTemplateColumns: "1fr auto auto",
            gap: 10,
            padding: "6px 0",
            borderBottom: "1px solid var(--rule)",
          }}
        >
          <span>
            <Sentence says={saving.says} tape={tape} />
          </span>
          <b>
            <Length mm={saving.saves} tape={tape} unit />
          </b>
          <Quiet
            onPress={() => {
              run.current++;
              setBusy(false);
              setFound(null);
              changeJob((draft) => applyChanges(draft, saving.changes));
            }}
          >
            Do it
          </Quiet>
        </div>
      ))}
      {found !== null && !busy && sorted.length === 0 ? <p>Nothing small brings it in: take more cloth.</p> : null}
      <p style={{ margin: "8px 0" }}>
        <Button variant="outlined" disabled={busy} onClick={() => void look()}>
          {busy ? "Laying each" : "Look for what saves"}
        </Button>
      </p>
    </section>
  );
}
