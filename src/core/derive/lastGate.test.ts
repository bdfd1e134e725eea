import { badPattern } from "../testing/badOutline";
import { plausibleBody } from "../testing/bodies";
import { palazzoJob, shapeOf } from "../testing/jobs";
import { complaintsOf } from "../testing/said";
import { jobWith, lastLine, made, movesOf, type Line } from "../testing/worksheet";
import { deriveShape } from "./shape";

const TOP: readonly Line[] = [
  ["bodice", { school: "quarters", frontDarts: "0 mm", backDarts: "0 mm" }],
  ["bodice-edges"],
];

test("a line that would draw an outline across itself is passed over, and the garment is drawn without it", () => {
  const job = palazzoJob(plausibleBody(2381), {
    style: { id: "one-piece", params: {} },
    block: { school: "traced", rules: {} },
    moves: movesOf(["bodice"], ["bodice-edges"], ["shape-leg", { fall: "straight" }], ["hollow-dart"], ["join-bodice"]),
  });
  const shape = shapeOf(job);
  const hollowed = shape.worksheet.find((l) => l.index === 3);
  expect(hollowed?.passed).toSay(/it would give a bodice front whose outline crosses itself/);
  expect(shape.worksheet.filter((l) => l.passed).length).toBe(1);
  expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
});

test("a top that ends already is not ended once more", () => {
  const shape = made(...TOP, ["end-as-top", { length: "180 mm" }], ["end-as-top", { length: "240 mm" }]);
  expect(lastLine(shape).passed).toSay(/^It ends as a top already/);
  expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
});

test("a bodice whose waist darts would turn its bust dart inside out is not drawn, and the line says what to do", () => {
  const rules = {
    school: "measured",
    bustEase: "70.8 mm",
    waistEase: "189.5 mm",
    frontDarts: "26.6 mm",
    backDarts: "17 mm",
  };
  const job = { ...jobWith([["bodice", rules]], plausibleBody(6567)) };
  const shape = deriveShape(job);
  if (!shape.ok) throw new Error(complaintsOf(shape.errors));
  expect(shape.worksheet.find((l) => l.move === "bodice")?.passed).toSay(/is larger than its bust.* ease the bust/);
});
