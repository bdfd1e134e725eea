"use client";
import type { Card } from "@/core/making";
import type { Tape } from "@/core/units";
import { download } from "@/ui/download";
import { Quiet } from "@/ui/Quiet";

interface Props {
  readonly title: string;
  readonly cards: readonly Card[];
  readonly tape: Tape;
}

/** The cards to carry away: as a page for a phone, or on paper for the wall. */
export function SaveCards({ title, cards, tape }: Props) {
  return (
    <ul style={{ listStyle: "none", margin: "0 0 12px", padding: 0, lineHeight: 2 }}>
      <li>
        <Quiet
          onPress={() =>
            void import("@/core/files/cardsHtml").then(({ cardsHtml }) => download(cardsHtml(title, cards, tape)))
          }
        >
          Save the cards as one page
        </Quiet>
      </li>
      {(["a4", "letter"] as const).map((paper) => (
        <li key={paper}>
          <Quiet
            onPress={() =>
              void import("@/core/files/paper/wallPdf")
                .then(({ wallPdf }) => wallPdf(title, cards, tape, paper))
                .then(download)
            }
          >
            {`Print for the wall, ${paper === "a4" ? "A4" : "Letter"}`}
          </Quiet>
        </li>
      ))}
    </ul>
  );
}
