import type { Job } from "../files";
import { derivedOf, FOUR_BODIES, HAND_BODY, palazzoJob } from "../testing/jobs";

const top = (params: Record<string, unknown> = {}, more: Partial<Job> = {}, body = HAND_BODY) =>
  derivedOf(palazzoJob(body, { style: { id: "cowl-top", params }, ...more }));
const checkOf = (id: string, of: ReturnType<typeof top>) => of.checks.find((c) => c.id === id);
const moves = (...more: readonly (readonly [string, Record<string, unknown>])[]): NonNullable<Job["moves"]> =>
  more.map(([move, params], i) => ({ id: `m${i}`, move, on: true, params }));
const BODICE = ["bodice", { school: "quarters", frontDarts: "0 mm", backDarts: "0 mm", waistEase: "60 mm" }] as const;

test("a neck that passes over the head is silent, one that does not is told, and an opening settles it", () => {
  expect(checkOf("neck-opening", top())?.status).toBe("pass");
  // A neck as it is drafted goes round the neck and no further.
  const close = moves(BODICE, ["end-as-top", {}]);
  const body = { ...HAND_BODY, measures: { ...HAND_BODY.measures, head: "57 cm" } };
  expect(checkOf("neck-opening", top({}, { moves: close }, body))).toMatchObject({
    status: "fault",
    message: expect.toSay(/does not open: .* more are needed to pass a head of 57/i),
  });
  // Of an estimated head it is only looked at.
  expect(checkOf("neck-opening", top({}, { moves: close }))).toMatchObject({
    status: "look",
    message: expect.toSay(/head is estimated/i),
  });
  const opened = derivedOf(palazzoJob(HAND_BODY, { style: { id: "one-piece", params: {} } }));
  expect(checkOf("neck-opening", opened)).toBeUndefined();
});

test("a facing that covers is silent, a shallow one is told, and one press makes it deep enough", () => {
  expect(checkOf("facing-covers", top())?.status).toBe("pass");
  const shallow = top({}, { moves: moves(BODICE, ["cowl", { facing: "60 mm" }], ["end-as-top", {}]) });
  const told = checkOf("facing-covers", shallow);
  expect(told).toMatchObject({ status: "look", message: expect.toSay(/the wrong side is seen/i) });
  const deep = (told?.remedy?.changes[0]?.value ?? "") as string;
  const mended = top({}, { moves: moves(BODICE, ["cowl", { facing: deep }], ["end-as-top", {}]) });
  expect(checkOf("facing-covers", mended)?.status).toBe("pass");
});

test("a top has nothing said of legs, on any wearer", () => {
  for (const body of FOUR_BODIES) {
    const { checks, readings, steps } = { ...top({}, {}, body), steps: top({}, {}, body).drafted.steps };
    for (const id of [
      "pull-on",
      "hip-ease",
      "thigh-ease",
      "waist-ease",
      "crotch-below-hip",
      "floor-clearance",
      "trunk",
    ])
      expect(checks.filter((c) => c.id === id)).toEqual([]);
    expect(checks.filter((c) => c.status === "fault")).toEqual([]);
    expect(readings.bustGirth).toBeCloseTo(4 * (Number((body.measures.hip as number) * 0.95) / 4 + 20), 3);
    expect(new Set(steps.map((s) => s.panel))).toEqual(new Set(["bodice-back", "bodice-front"]));
  }
});
