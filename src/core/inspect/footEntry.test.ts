import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { said } from "../testing/said";

const footOf = (style: string, moves: readonly (readonly [string, Record<string, unknown>])[]) =>
  derivedOf(
    palazzoJob(HAND_BODY, {
      style: { id: style, params: {} },
      moves: moves.map(([move, params], i) => ({ id: `m${i}`, move, on: true, params })),
    }),
  ).checks.find((c) => c.id === "foot-entry");

test("a leg too narrow for the foot is a fault, however wide the flounce below it", () => {
  const check = footOf("bell-flounce", [
    ["shape-leg", { knee: "300 mm", hem: "300 mm" }],
    ["set-length", {}],
    ["flounce", { start: "800 mm" }],
  ]);
  expect(check?.status).toBe("fault");
  expect(said(check?.message)).toMatch(/leg below the knee is .* too narrow for heel and instep/);
});

test("a wide leg lets the foot through, and is read at its hem", () => {
  expect(
    footOf("straight", [
      ["shape-leg", {}],
      ["set-length", {}],
    ])?.status,
  ).toBe("pass");
});
