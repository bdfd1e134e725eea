import { textOf } from "@/core/units";
import type { Card } from "@/core/making";
import { RowButton } from "@/ui/RowButton";

interface Props {
  readonly cards: readonly Card[];
  /** The number of the card that is shown. */
  readonly at: number;
  readonly onGo: (n: number) => void;
}

/** The pieces the cards draw, each with how many it has; one press leads to its first. */
export function CardIndex({ cards, at, onGo }: Props) {
  const names = [...new Map(cards.map((c) => [c.panel, c.name] as const)).entries()];
  return (
    <ul aria-label="Pieces of the cards" style={{ listStyle: "none", margin: "12px 0", padding: 0 }}>
      {names.map(([panel, name]) => {
        const first = cards.find((c) => c.panel === panel)?.n ?? 1;
        const isHere = cards[at - 1]?.panel === panel;
        return (
          <li key={panel} style={{ borderBottom: "1px solid var(--rule)" }}>
            <RowButton isHere={isHere} onPress={() => onGo(first)}>
              <span>{textOf(name)}</span>
              <span style={{ color: "var(--quiet)" }}>{cards.filter((c) => c.panel === panel).length}</span>
            </RowButton>
          </li>
        );
      })}
    </ul>
  );
}
