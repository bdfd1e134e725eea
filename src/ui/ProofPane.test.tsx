/** @jest-environment jsdom */
import { jobOnBench, onBench } from "@/ui/testing/Bench";
import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { derive } from "@/core/derive";
import { noticesOf } from "@/core/derive/handOver";
import type { Job } from "@/core/files";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { tell } from "@/core/units";
import { useJobStore } from "@/store/jobStore";
import { ProofPane } from "./ProofPane";

/** The proof of the job on the bench. */
function Proof() {
  const job = useJobStore((s) => s.job);
  const derived = job && derive(job);
  if (!derived?.ok) return null;
  return <ProofPane proof={{ ...derived, notices: noticesOf(derived) }} stale={false} open={false} />;
}

/** Over-long, to bunch at the ankle: the hem lies on the floor, and is meant to. */
const overlong = (): Job => palazzoJob(HAND_BODY, { style: { id: "straight", params: { length: "1120 mm" } } });

const printed = (job: Job): string[] => {
  const derived = derive(job);
  return derived.ok ? noticesOf(derived).map((n) => tell(n, "cm")) : [];
};

test("a fault is marked as meant, with a word why: it leaves the count, stays listed and is printed", async () => {
  onBench(overlong(), <Proof />);
  expect(screen.getByRole("button", { name: /^Off the floor: fault/ })).toBeTruthy();
  expect(printed(jobOnBench()).join()).toMatch(/Fault: The hem lies/);

  await userEvent.click(screen.getByRole("button", { name: "Off the floor: meant so" }));
  await userEvent.type(
    screen.getByRole("textbox", { name: "Why off the floor is meant so" }),
    "to bunch at the ankle{Enter}",
  );
  expect(jobOnBench().meant).toEqual({ "floor-clearance": "to bunch at the ankle" });
  expect(screen.getByText(/Meant so: to bunch at the ankle/)).toBeTruthy();
  expect(screen.getByRole("button", { name: /1 meant so/ })).toBeTruthy();
  expect(printed(jobOnBench()).join()).toMatch(/Meant so, off the floor: The hem lies .* to bunch at the ankle/);
  expect(printed(jobOnBench()).join()).not.toMatch(/Fault/);

  await userEvent.click(screen.getByRole("button", { name: "Take back" }));
  expect(jobOnBench().meant).toBeUndefined();
});

test("what passes again is not meant: the word waits until it is needed", () => {
  const job = {
    ...palazzoJob(HAND_BODY, { style: { id: "straight", params: {} } }),
    meant: { "floor-clearance": "to bunch" },
  };
  const derived = derive(job);
  expect(derived.ok && derived.checks.find((c) => c.id === "floor-clearance")).not.toHaveProperty("meant");
});
