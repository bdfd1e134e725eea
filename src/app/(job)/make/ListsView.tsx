"use client";
import { phrase } from "@/core/words";
import { USUAL_WIDTH } from "@/core/cloth/sold";
import { clothOf } from "@/core/derive/cloth";
import { bundlesOf, cuttingList, shoppingList } from "@/core/making";
import { grainWords } from "@/core/pieces";
import type { HandedFile, Job } from "@/core/files";
import type { SheetName } from "@/core/files/paper/papers";
import type { Derived } from "@/core/derive";
import { formatLength, type Mm, type Tape, textOf } from "@/core/units";
import { HOME_PAPERS } from "@/ui/homePapers";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { Sentence } from "@/ui/Sentence";
import { useSave } from "@/ui/useSave";
import { useTogether } from "@/ui/useTogether";
import { useSnackbar } from "notistack";

const cell = { borderBottom: "1px solid var(--rule)", padding: "7px 10px 7px 0", textAlign: "left" } as const;

/** The width that the cloth was laid on; said where none is chosen. */
function widthWords(job: Job, tape: Tape): string {
  const { width } = clothOf(job).cloth;
  return width === null
    ? phrase`on a usual width of ${formatLength(USUAL_WIDTH.shell, tape)}, as none is chosen`
    : phrase`on a width of ${formatLength(width, tape)}`;
}

/** What is cut, by material, and what is bought besides cloth. */
export function ListsView({
  derived,
  tape,
  id,
  job,
  lay,
}: {
  readonly id: string;
  readonly derived: Pick<Derived, "pieces" | "notions">;
  readonly tape: Tape;
  readonly job: Job;
  /** Length of the good cloth by the lay as it stands; null where none is kept. */
  readonly lay: Mm | null;
}) {
  const cut = cuttingList(derived);
  const materials = [...new Set(cut.map((l) => l.material))];
  const bought = shoppingList(derived);
  const { laid } = useTogether(id, job);
  const { enqueueSnackbar } = useSnackbar();
  const save = useSave();

  async function labelsFor(jobs: readonly Job[], paper: SheetName): Promise<HandedFile> {
    const [{ labelsOf }, { labelsPdf }] = await Promise.all([
      import("@/core/derive/labels"),
      import("@/core/files/paper/wallPdf"),
    ]);
    const { labels, missing } = labelsOf(jobs);
    if (missing.length > 0)
      enqueueSnackbar(phrase`Without ${missing.join(", ")}: as it stands it cannot be drawn.`, { variant: "warning" });
    return labelsPdf(jobs.length === 1 ? job.name : phrase`${job.name} and others`, labels, paper);
  }

  return (
    <div style={{ overflowY: "auto", height: "100%", boxSizing: "border-box", padding: "16px 28px 40px" }}>
      {materials.map((material) => (
        <section key={material} aria-label={phrase`Cut from ${material}`} style={{ marginBottom: 20 }}>
          <PaneHeading>Cut from {material}</PaneHeading>
          <table style={{ width: "100%", borderCollapse: "collapse" }}>
            <tbody>
              {cut
                .filter((l) => l.material === material)
                .map((l) => (
                  <tr key={l.piece}>
                    <th scope="row" style={{ ...cell, fontWeight: 650 }}>
                      {textOf(l.name)}
                    </th>
                    <td style={{ ...cell, width: 60 }}>{l.count}</td>
                    <td style={{ ...cell, color: "var(--quiet)" }}>
                      {l.onFold
                        ? "on the fold"
                        : l.pairs
                          ? "right and left"
                          : l.singleLayer
                            ? "single layer, as drawn"
                            : ""}
                      {l.lies ? `${l.pairs || l.singleLayer ? ", " : ""}${textOf(grainWords(l.lies))}` : ""}
                      {l.note ? ` ${l.note}` : ""}
                    </td>
                  </tr>
                ))}
            </tbody>
          </table>
        </section>
      ))}
      <section aria-label="Labels" style={{ marginBottom: 20 }}>
        <PaneHeading>Labels for the bundles</PaneHeading>
        <div style={{ display: "flex", gap: 18, flexWrap: "wrap" }}>
          {HOME_PAPERS.map(([paper, name]) => (
            <Quiet key={paper} onPress={() => void save(labelsFor([job], paper), "The labels could not be saved.")}>
              {phrase`Print ${bundlesOf(cut).length} labels, ${name}`}
            </Quiet>
          ))}
          {laid.length > 1 ? (
            <Quiet
              onPress={() =>
                void save(labelsFor(laid, tape === "in" ? "letter" : "a4"), "The labels could not be saved.")
              }
            >
              {phrase`Print those of all ${laid.length} garments on this cloth`}
            </Quiet>
          ) : null}
        </div>
      </section>
      <section aria-label="Cloth" style={{ marginBottom: 20 }}>
        <PaneHeading>Cloth</PaneHeading>
        <p style={{ margin: 0 }}>
          {lay === null
            ? "No lay is kept yet: Cloth says how much to buy."
            : phrase`${job.cloth?.name ?? "The good cloth"}: ${formatLength(lay, tape)} by the lay as it stands, ${widthWords(job, tape)}; Cloth says how much that is to buy.`}
        </p>
      </section>
      <section aria-label="Bought besides cloth">
        <PaneHeading>Bought besides cloth</PaneHeading>
        {bought.length === 0 ? <p style={{ color: "var(--quiet)" }}>Thread alone.</p> : null}
        <table style={{ width: "100%", borderCollapse: "collapse" }}>
          <tbody>
            {bought.map((b) => (
              <tr key={b.id}>
                <th scope="row" style={{ ...cell, fontWeight: 650 }}>
                  <Sentence says={b.label} tape={tape} />
                </th>
                <td style={{ ...cell, width: 60 }}>{b.count}</td>
                <td style={cell}>{b.length === null ? "" : formatLength(b.length, tape)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
