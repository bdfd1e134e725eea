import type { Job } from "../files";
import { bodiceMatch } from "./bodice";
import type { Inspected } from "./check";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";

const UPPER = {
  bust: "92 cm",
  neck: "36 cm",
  shoulderWidth: "39 cm",
  napeToWaist: "41 cm",
  shoulderToWaist: "45 cm",
  shoulderToBust: "27 cm",
  bustSpan: "18.5 cm",
  upperArm: "28.5 cm",
};
const body = (more: Record<string, string> = {}): Job["body"] => ({
  ...HAND_BODY,
  measures: { ...HAND_BODY.measures, ...UPPER, crotchLength: "66 cm", ...more },
});
const checkOf = (id: string, params: Record<string, unknown> = {}, card = body(), more: Partial<Job> = {}) =>
  derivedOf(palazzoJob(card, { style: { id: "one-piece", params }, ...more })).checks.find((c) => c.id === id);

test("bodice and trousers: equal halves are told and pass", () => {
  expect(checkOf("bodice-match")).toMatchObject({
    status: "pass",
    message: expect.toSay(/waist, front: .* on .*; waist, back/i),
  });
});

test("trousers longer at the waist than the bodice they are sewn to: told by how much", () => {
  const { sewn, panels, seams } = derivedOf(palazzoJob(body(), { style: { id: "one-piece", params: {} } }));
  const longer = seams.map((s) => (s.kind === "waist" && s.how === "equal" ? { ...s, lengthB: s.lengthB + 30 } : s));
  const told = (of: typeof seams) =>
    bodiceMatch.measure({ panels: sewn, legs: panels, seams: of } as unknown as Inspected);
  expect(told(seams)?.status).toBe("pass");
  expect(told(longer)).toMatchObject({
    status: "fault",
    value: expect.closeTo(30, 0) as unknown,
    message: expect.toSay(/trousers are 30(\.0)? mm longer than the bodice/i),
  });
});

test("a waist gathered too full is looked at", () => {
  const full = {
    block: { school: "proportional", rules: { ease: { front: "190 mm", back: "190 mm" } } },
  } as Partial<Job>;
  expect(checkOf("bodice-match", { how: "gather" }, body(), full)).toMatchObject({
    status: "look",
    message: expect.toSay(/gathered .* times: it stands off/i),
  });
});

test("room to sit: silent where there is enough, told where the crotch is too high, and one press mends it", () => {
  expect(checkOf("trunk")?.status).toBe("pass");
  const short = checkOf("trunk", {}, body({ crotchLength: "79 cm" }));
  expect(short).toMatchObject({ status: "fault", message: expect.toSay(/is needed to sit/i) });
  expect(short?.remedy?.label).toSay(/lower the crotch/i);
});

test("the back at the zip: its own length is silent; as long as the front, it says how much to dart", () => {
  expect(checkOf("back-bulge")?.status).toBe("pass");
  const moves = [
    { id: "m1", move: "bodice", on: true, params: { school: "quarters", equalTo: "front" } },
    { id: "m2", move: "join-bodice", on: true, params: {} },
  ];
  expect(checkOf("back-bulge", {}, body({ napeToWaist: "38 cm" }), { moves })).toMatchObject({
    status: expect.stringMatching(/look|fault/),
    message: expect.toSay(/bulges at the zip. Dart .* out of the back/i),
  });
});

test("the armhole against the arm: usual is silent, a thick arm is told", () => {
  expect(checkOf("armhole")?.status).toBe("pass");
  expect(checkOf("armhole", {}, body({ upperArm: "44 cm" }))).toMatchObject({ message: expect.toSay(/binds/) });
  const lowered = ["bodice", "bodice-edges"].map((move, i) => ({
    id: `m${i}`,
    move,
    on: true,
    params: i === 1 ? { underarmUp: "-55 mm", shoulderIn: "50 mm" } : {},
  }));
  expect(checkOf("armhole", {}, body(), { moves: lowered })).toMatchObject({
    status: "look",
    message: expect.toSay(/gapes/),
  });
});

test("trousers without a bodice have none of these", () => {
  const { checks } = derivedOf(palazzoJob(HAND_BODY));
  expect(checks.filter((c) => ["bodice-match", "trunk", "back-bulge", "armhole"].includes(c.id))).toEqual([]);
});
