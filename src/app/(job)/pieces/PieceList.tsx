"use client";
import { listOf, phrase } from "@/core/words";
import type { Notion } from "@/core/finish";
import type { Piece } from "@/core/pieces";
import { tellSum, textOf } from "@/core/units";
import { setView, useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { Sentence } from "@/ui/Sentence";
import { PaneHeading } from "@/ui/StageLayout";

/** What a piece is cut from; what the same outline is cut from besides, by its number. */
function clothOf({ material, alsoCut }: Piece): string {
  const also = alsoCut.map((c) =>
    c.material === material ? phrase`${c.count} to face it` : phrase`${c.count} ${c.material}`,
  );
  return listOf([material, ...also]);
}

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
                  {textOf(piece.name)}
                </button>
              </th>
              <td style={{ fontStretch: "85%" }}>
                {piece.cut.pairs
                  ? phrase`${piece.cut.count}, one pair`
                  : phrase`${piece.cut.count}, ${piece.cut.onFold ? "on the fold" : "single"}`}
              </td>
              <td style={{ textAlign: "right", fontStretch: "85%", color: "var(--quiet)" }}>{clothOf(piece)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {proof.notions.length > 0 ? <Notions notions={proof.notions} /> : null}
    </section>
  );
}

/** What is bought by length or number, with the caution where it can hurt. */
function Notions({ notions }: { readonly notions: readonly Notion[] }) {
  const tape = useView((v) => v.tape);
  return (
    <div style={{ marginTop: 12 }}>
      <PaneHeading>Besides</PaneHeading>
      {notions.map((notion) => (
        <div key={notion.id} style={{ borderBottom: "1px solid var(--rule)", padding: "4px 0" }}>
          <div style={{ display: "flex", justifyContent: "space-between" }}>
            <span style={{ fontStretch: "85%" }}>
              {notion.count > 1 ? `${notion.count} ` : ""}
              <Sentence says={notion.label} tape={tape} />
            </span>
            {notion.length ? (
              <b title={tellSum(notion.length.sum, tape)}>
                <Length mm={notion.length.mm} tape={tape} unit />
              </b>
            ) : null}
          </div>
          {notion.note ? (
            <div style={{ color: "var(--quiet)", fontSize: 13 }}>
              <Sentence says={notion.note} tape={tape} />
            </div>
          ) : null}
          {notion.caution ? (
            <div style={{ color: "var(--look)", fontSize: 13 }}>
              <Sentence says={notion.caution} tape={tape} />
            </div>
          ) : null}
        </div>
      ))}
    </div>
  );
}
