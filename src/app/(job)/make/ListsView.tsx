"use client";
import { cuttingList, shoppingList } from "@/core/making";
import type { Derived } from "@/core/derive";
import { formatLength, type Tape } from "@/core/units";
import { PaneHeading } from "@/ui/StageLayout";
import { Sentence } from "@/ui/Sentence";

const cell = { borderBottom: "1px solid var(--rule)", padding: "7px 10px 7px 0", textAlign: "left" } as const;

/** What is cut, by material, and what is bought besides cloth. */
export function ListsView({
  derived,
  tape,
}: {
  readonly derived: Pick<Derived, "pieces" | "notions">;
  readonly tape: Tape;
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
