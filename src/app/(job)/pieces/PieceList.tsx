"use client";
import { setView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { PaneHeading } from "@/ui/StageLayout";

/** What to cut: piece, how many, from what. */
export function PieceList() {
  const { proof } = useOpenJob();
  if (!proof) return null;
  return (
    <section aria-label="Cut">
      <PaneHeading>Cut</PaneHeading>
      <table style={{ width: "100%", borderCollapse: "collapse" }}>
        <tbody>
          {proof.pieces.map((piece) => (
            <tr key={piece.id} style={{ borderBottom: "1px solid var(--rule)", height: 30 }}>
              <th scope="row" style={{ textAlign: "left", fontWeight: 650 }}>
                <button
                  type="button"
                  onClick={() => setView({ lit: { panel: piece.id, point: piece.grain[0] } })}
                  style={{ all: "unset", cursor: "pointer" }}
                >
                  {piece.name}
                </button>
              </th>
              <td style={{ fontStretch: "85%" }}>
                {piece.cut.pairs
                  ? `${piece.cut.count}, one pair`
                  : `${piece.cut.count}, ${piece.cut.onFold ? "on the fold" : "single"}`}
              </td>
              <td style={{ textAlign: "right", fontStretch: "85%", color: "var(--quiet)" }}>
                {piece.material}, {(piece.area / 100).toFixed(0)} cm²
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
