"use client";
import { bundlesOf, cuttingList, shoppingList } from "@/core/making";
import type { Job } from "@/core/files";
import type { Derived } from "@/core/derive";
import { formatLength, type Mm, type Tape } from "@/core/units";
import { download } from "@/ui/download";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { Sentence } from "@/ui/Sentence";

const cell = { borderBottom: "1px solid var(--rule)", padding: "7px 10px 7px 0", textAlign: "left" } as const;

/** What is cut, by material, and what is bought besides cloth. */
export function ListsView({
  derived,
  tape,
  job,
  lay,
}: {
  readonly derived: Pick<Derived, "pieces" | "notions">;
  readonly tape: Tape;
  readonly job: Job;
  /** Length of the good cloth by the lay as it stands; null where none is kept. */
  readonly lay: Mm | null;
}) {
  const cut = cuttingList(derived);
  const materials = [...new Set(cut.map((l) => l.material))];
  const bought = shoppingList(derived);
  return (
    <div style={{ overflowY: "auto", height: "100%", boxSizing: "border-box", padding: "16px 28px 40px" }}>
      {materials.map((material) => (
        <section key={material} aria-label={`Cut from ${material}`} style={{ marginBottom: 20 }}>
          <PaneHeading>Cut from {material}</PaneHeading>
          <table style={{ width: "100%", borderCollapse: "collapse" }}>
            <tbody>
              {cut
                .filter((l) => l.material === material)
                .map((l) => (
                  <tr key={l.piece}>
                    <th scope="row" style={{ ...cell, fontWeight: 650 }}>
                      {l.name}
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
        <div style={{ display: "flex", gap: 18 }}>
          {(["a4", "letter"] as const).map((paper) => (
            <Quiet key={paper} onPress={() => void saveLabels(job, cut, paper)}>
              {`Print ${bundlesOf(cut).length} labels, ${paper === "a4" ? "A4" : "Letter"}`}
            </Quiet>
          ))}
        </div>
      </section>
      <section aria-label="Cloth" style={{ marginBottom: 20 }}>
        <PaneHeading>Cloth</PaneHeading>
        <p style={{ margin: 0 }}>
          {lay === null
            ? "No lay is kept yet: Cloth says how much to buy."
            : `${job.cloth?.name ?? "The good cloth"}: ${formatLength(lay, tape)} by the lay as it stands; Cloth says how much that is to buy.`}
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

/** A label for each bundle, as a file to print. */
async function saveLabels(job: Job, cut: ReturnType<typeof cuttingList>, paper: "a4" | "letter"): Promise<void> {
  const { labelsPdf } = await import("@/core/files/paper/wallPdf");
  const labels = bundlesOf(cut).map(({ line, side, count }) => ({
    wearer: job.body.name,
    garment: job.name,
    piece: line.name,
    side: side ?? (line.onFold ? "on the fold" : ""),
    count: `${count} from ${line.material}`,
    about: [job.date, job.versions?.at(-1)?.name].filter(Boolean).join(", "),
  }));
  download(await labelsPdf(job.name, labels, paper));
}
