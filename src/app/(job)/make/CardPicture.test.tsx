/** @jest-environment jsdom */
import "@/ui/testing/browser";
import { render } from "@testing-library/react";
import { cardsByDrawing, cardsOf, linesOf, pictureOf } from "@/core/making";
import { derivedOf, HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { CardPicture } from "./CardPicture";

const derived = derivedOf(palazzoJob(HAND_BODY));

test.each(["paper", "cloth", "short"] as const)(
  "%s: every card of a drawing shows it, with its own line lit",
  (kind) => {
    const cards = cardsOf(derived, kind, "cm");
    const ofDrawing = cardsByDrawing(cards);
    for (const card of cards.filter((_, i) => i % 5 === 0)) {
      const own = ofDrawing(card);
      const { container, unmount } = render(<CardPicture card={card} own={own} tape="cm" />);
      const paths = container.querySelectorAll("path");
      const isDrawn = linesOf(own).length > 0;
      expect(container.querySelector("svg") !== null).toBe(isDrawn);
      const draws = linesOf([card]).filter((l) => l.kind !== "before" && l.path.length > 0).length;
      const lit = [...paths].filter(
        (p) => p.getAttribute("stroke") === "var(--chalk)" && p.getAttribute("vector-effect"),
      );
      if (draws > 0) expect(lit.length).toBeGreaterThan(0);
      unmount();
    }
  },
);

test("a picture holds what is drawn so far and no more, and an edge that turned lies where its card says", () => {
  const cards = cardsOf(derived, "short", "cm");
  const ofDrawing = cardsByDrawing(cards);
  const moved = cards.filter((c) => c.act.kind === "moved");
  expect(moved.length).toBeGreaterThan(0);
  for (const card of moved) {
    if (card.act.kind !== "moved") continue;
    const picture = pictureOf(card, ofDrawing(card));
    expect(picture.every((l) => l.n <= card.n)).toBe(true);
    const own = picture.find((l) => l.n === card.n);
    const [first, last] = [own?.path[0]?.points[0], own?.path.at(-1)?.points.at(-1)];
    expect(Math.hypot((first?.[0] ?? 1e9) - card.act.from[0], (first?.[1] ?? 1e9) - card.act.from[1])).toBeLessThan(
      0.1,
    );
    expect(Math.hypot((last?.[0] ?? 1e9) - card.act.to[0], (last?.[1] ?? 1e9) - card.act.to[1])).toBeLessThan(0.1);
  }
});
