/** @jest-environment jsdom */
import "@/ui/testing/browser";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import type { Other } from "@/ui/useTogether";
import { bundleWash } from "./bundleInk";
import { Together } from "./Together";

const others = (count: number, chosen: number): readonly Other[] =>
  Array.from({ length: count }, (_, i) => ({
    id: `j${i}`,
    job: palazzoJob({ ...HAND_BODY, name: `Wearer ${i}` }, { name: `Garment ${i}` }),
    isWith: i < chosen,
  }));

test("with no other garment there is nothing to lay too", () => {
  const { container } = render(<Together others={[]} onPut={() => undefined} />);
  expect(container.innerHTML).toBe("");
});

test("what lies on the cloth is shown, others when asked, and each is put on or taken off by its id", async () => {
  const onPut = jest.fn<void, [string, boolean]>();
  render(<Together others={others(3, 1)} onPut={onPut} />);
  expect(screen.getAllByRole("checkbox")).toHaveLength(1);
  await userEvent.click(screen.getByRole("button", { name: "Change what lies on it" }));
  await userEvent.click(screen.getByRole("checkbox", { name: /Garment 2/ }));
  await userEvent.click(screen.getByRole("checkbox", { name: /Garment 0/ }));
  expect(onPut.mock.calls).toEqual([
    ["j2", true],
    ["j0", false],
  ]);
});

test("no more than a lay takes", async () => {
  render(<Together others={others(14, 12)} onPut={() => undefined} />);
  await userEvent.click(screen.getByRole("button", { name: "Change what lies on it" }));
  const boxes = screen.getAllByRole("checkbox") as HTMLInputElement[];
  expect(boxes.filter((b) => b.disabled)).toHaveLength(2);
});

test("bundles are told apart by their ground, the job's own has none", () => {
  expect(bundleWash(0)).toBe("transparent");
  const six = [1, 2, 3, 4, 5, 6].map(bundleWash);
  expect(new Set(six).size).toBe(6);
  expect(bundleWash(7)).toBe(six[0]);
});
