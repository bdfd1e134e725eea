import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { calendarOf } from "../files/calendar";
import { closingSteps, fittingsPlanned, makingOrder, scheduled, type Week } from ".";

const derived = derivedOf(palazzoJob(HAND_BODY));
const order = makingOrder(derived);
const WEEKENDS: Week = [30, 0, 0, 0, 0, 0, 45];

test("every minute of every step is planned once, in order, and no day has more than there is time for", () => {
  // A Friday.
  const plan = scheduled(order, "2026-11-27", WEEKENDS, null);
  const parts = plan?.days.flatMap((d) => d.parts) ?? [];
  for (const step of order)
    expect(parts.filter((p) => p.step.id === step.id).reduce((sum, p) => sum + p.minutes, 0)).toBe(step.minutes);
  const met = [...new Set(parts.map((p) => p.step.id))];
  expect(met).toEqual(order.map((o) => o.id));
  for (const day of plan?.days ?? []) {
    const weekday = new Date(`${day.date}T12:00:00Z`).getUTCDay();
    const minutes = day.parts.reduce((sum, p) => sum + p.minutes, 0);
    expect(minutes).toBeLessThanOrEqual(WEEKENDS[weekday] ?? 0);
    expect([0, 6]).toContain(weekday);
  }
  expect(plan?.days[0]?.date).toBe("2026-11-28");
});

test("late days are counted, and a week without time is no plan", () => {
  expect(scheduled(order, "2026-11-27", [0, 0, 0, 0, 0, 0, 30], "2026-11-28")?.lateBy).toBeGreaterThan(6);
  expect(scheduled(order, "2026-11-27", [600, 600, 600, 600, 600, 600, 600], "2026-11-28")?.lateBy).toBe(0);
  expect(scheduled(order, "2026-11-27", [0, 0, 0, 0, 0, 0, 0], null)).toBeNull();
});

test("the days go out as a calendar: one event a day, whole days, each with what is done", () => {
  const plan = scheduled(order, "2026-11-27", WEEKENDS, null);
  const text = new TextDecoder().decode(calendarOf("Heron walk", plan?.days ?? [], "cm").bytes);
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(plan?.days.length ?? 0);
  expect(text).toMatch(/DTSTART;VALUE=DATE:20261128/);
  expect(text).toMatch(/DTEND;VALUE=DATE:20261129/);
  const first = plan?.days[0]?.parts.reduce((sum, p) => sum + p.minutes, 0);
  expect(text).toContain(`SUMMARY:Heron walk (${first} min)`);
});

test("at each fitting: what is done by that morning, and whether it can be put on", () => {
  const plan = scheduled(order, "2026-11-27", WEEKENDS, null);
  if (!plan) throw new Error("there is time");
  const closing = closingSteps(derived.seams, order);
  expect(closing.size).toBeGreaterThan(3);
  const last = plan.days.at(-1)?.date ?? "";
  const found = fittingsPlanned(plan, order, ["2027-12-01", "2026-11-28", last], closing);
  expect(found.map((f) => f.date)).toEqual(["2026-11-28", last, "2027-12-01"]);
  // On the first morning nothing is done; on the last day what is finished on it is not.
  expect(found[0]).toMatchObject({ done: 0, open: closing.size });
  expect(found[1]?.done).toBeLessThan(order.length);
  expect(found[2]).toMatchObject({ done: order.length, open: 0 });
});
