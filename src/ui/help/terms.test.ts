import { HAND_BODY, palazzoJob, shapeOf } from "@/core/testing/jobs";
import { runsOf, TERMS } from "./terms";

const shownOn = (style: string): readonly string[] => {
  const { panels } = shapeOf(palazzoJob(HAND_BODY, { style: { id: style, params: {} } }));
  return TERMS.filter((term) => panels.some((p) => runsOf(term, p).length > 0)).map(({ word }) => word);
};

test("every word lies somewhere on some style, and what a style has not is not shown on it", () => {
  const known = ["palazzo", "paper-bag", "pleated", "front-slit", "yoke-flare", "one-piece", "cowl-top", "jogger"].map(
    shownOn,
  );
  const everywhere = new Set(known.flat());
  // A notch of its own only a block brought in has.
  expect(TERMS.map(({ word }) => word).filter((word) => !everywhere.has(word))).toEqual(["Notch"]);
  expect(shownOn("palazzo")).not.toContain("Armhole");
  expect(shownOn("one-piece")).toContain("Armhole");
});

test("the back rise is shown on the back alone, the crotch seam on both", () => {
  const { panels } = shapeOf(palazzoJob(HAND_BODY));
  const roots = (word: string): readonly unknown[] =>
    panels.filter((p) => TERMS.some((t) => t.word === word && runsOf(t, p).length > 0)).map((p) => p.is.root);
  expect(new Set(roots("Back rise"))).toEqual(new Set(["back"]));
  expect(new Set(roots("Crotch seam"))).toEqual(new Set(["front", "back"]));
});
