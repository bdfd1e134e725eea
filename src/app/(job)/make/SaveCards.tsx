"use client";
import { phrase } from "@/core/words";
import type { Card } from "@/core/making";
import type { Tape } from "@/core/units";
import { HOME_PAPERS } from "@/ui/homePapers";
import { Quiet } from "@/ui/Quiet";
import { useSave } from "@/ui/useSave";

interface Props {
  readonly title: string;
  readonly cards: readonly Card[];
  readonly tape: Tape;
}

const SORRY = "The cards could not be saved.";

/** The cards to carry away: as a page for a phone, or on paper for the wall. */
export function SaveCards({ title, cards, tape }: Props) {
  const save = useSave();
  return (
    <ul style={{ listStyle: "none", margin: "0 0 12px", padding: 0, lineHeight: 2 }}>
      <li>
        <Quiet
          onPress={() =>
            void save(
              import("@/core/files/cardsHtml").then(({ cardsHtml }) => cardsHtml(title, cards, tape)),
              SORRY,
            )
          }
        >
          Save the cards as one page
        </Quiet>
      </li>
      {HOME_PAPERS.map(([paper, name]) => (
        <li key={paper}>
          <Quiet
            onPress={() =>
              void save(
                import("@/core/files/paper/wallPdf").then(({ wallPdf }) => wallPdf(title, cards, tape, paper)),
                SORRY,
              )
            }
          >
            {phrase`Print for the wall, ${name}`}
          </Quiet>
        </li>
      ))}
    </ul>
  );
}
