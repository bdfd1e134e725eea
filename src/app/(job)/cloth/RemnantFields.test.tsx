/** @jest-environment jsdom */
import { cleanup, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { clothOf } from "@/core/derive/cloth";
import type { Job } from "@/core/files";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { jobOnBench, onBench } from "@/ui/testing/Bench";
import { RemnantFields } from "./RemnantFields";

const CORNERS: [string, string][] = [
  ["0 cm", "0 cm"],
  ["200 cm", "0 cm"],
  ["200 cm", "90 cm"],
  ["40 cm", "90 cm"],
];
const jobWith = (cloth: Job["cloth"]): Job => palazzoJob(HAND_BODY, { cloth });

function fieldsOf(job: Job) {
  cleanup();
  const { cloth } = clothOf(job);
  return onBench(
    job,
    <RemnantFields cloth={{ width: cloth.width ?? 1500, ...cloth.lies }} length={cloth.length} tape="cm" />,
  );
}

test("a strip in hand becomes a remnant of its own four corners; cloth that is bought has none to give", async () => {
  const { container } = fieldsOf(jobWith({ width: "150 cm" }));
  expect(container.querySelector("button")).toBeNull();
  fieldsOf(jobWith({ width: "150 cm", length: "200 cm" }));
  await userEvent.click(screen.getByRole("button", { name: "It is a remnant: give its corners" }));
  expect(clothOf(jobOnBench()).cloth.lies.outline).toEqual([
    [0, 0],
    [2000, 0],
    [2000, 1500],
    [0, 1500],
  ]);
});

test("corners are shown as they were given, changed, added in the longest side, and taken out down to three", async () => {
  fieldsOf(jobWith({ outline: CORNERS }));
  const section = within(screen.getByRole("region", { name: "Corners of the remnant" }));
  expect((section.getByLabelText("Corner 4, along") as HTMLInputElement).value).toBe("40.0 cm");
  await userEvent.clear(section.getByLabelText("Corner 2, across"));
  await userEvent.type(section.getByLabelText("Corner 2, across"), "12,5{Enter}");
  expect(clothOf(jobOnBench()).cloth.lies.outline?.[1]).toEqual([2000, 125]);
  await userEvent.click(section.getByRole("button", { name: "One more corner" }));
  expect(jobOnBench().cloth?.outline).toHaveLength(5);
  await userEvent.click(section.getByRole("button", { name: "It is a whole strip" }));
  expect(jobOnBench().cloth?.outline).toBeUndefined();
});

test("three corners are the least, and a crossed outline says so and keeps what was typed", () => {
  fieldsOf(jobWith({ outline: CORNERS.slice(0, 3) }));
  expect(screen.queryByRole("button", { name: /^Remove corner/ })).toBeNull();
  const [a, b, c, d] = CORNERS as [[string, string], [string, string], [string, string], [string, string]];
  fieldsOf(jobWith({ outline: [a, c, b, d] }));
  expect(screen.getByRole("alert").textContent).toMatch(/crosses itself/);
  expect((screen.getByLabelText("Corner 4, along") as HTMLInputElement).value).toBe("40.0 cm");
});
