/** @jest-environment jsdom */
import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { FINISHES } from "@/core/finish";
import type { Job } from "@/core/files";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { jobOnBench, onBench } from "@/ui/testing/Bench";
import { Finishes } from "./Finishes";

const withFinish = (finish: Job["finish"]): Job => palazzoJob(HAND_BODY, { finish });
const section = (name: string) => within(screen.getByRole("region", { name }));

async function pick(list: HTMLElement, option: string | RegExp): Promise<void> {
  await userEvent.click(list);
  await userEvent.click(screen.getByRole("option", { name: option }));
}

describe.each(["waist", "fastening", "hem"] as const)("every kind of %s", (room) => {
  const heading = { waist: "Waist", fastening: "Closure", hem: "Hem" }[room];

  test.each(FINISHES[room].map((f) => [f.kind, f] as const))(
    "%s has a row for each of its parameters",
    (kind, finish) => {
      onBench(withFinish({ [room]: { kind } } as Job["finish"]), <Finishes />);
      const rows = section(heading);
      for (const { label } of Object.values(finish.params))
        expect(rows.getAllByLabelText(label).length).toBeGreaterThan(0);
      if (finish.note) expect(rows.getByText(finish.note)).toBeTruthy();
    },
  );
});

test("another kind is chosen from the list, and a length is typed, kept as typed and put back by emptying", async () => {
  onBench(withFinish({ waist: { kind: "straight-band" } }), <Finishes />);
  await pick(section("Waist").getByRole("combobox", { name: "Edge" }), "separate casing");
  expect(jobOnBench().finish?.waist).toEqual({ kind: "casing" });
  const depth = section("Waist").getByRole("textbox", { name: "Depth" });
  await userEvent.clear(depth);
  await userEvent.type(depth, "4.5{Enter}");
  expect(jobOnBench().finish?.waist).toMatchObject({ kind: "casing", depth: "4.5 cm" });
  await userEvent.clear(depth);
  await userEvent.type(depth, "{Enter}");
  expect((jobOnBench().finish?.waist as { depth?: unknown }).depth).toBeUndefined();
});

test("pockets are added, set and taken out again", async () => {
  onBench(withFinish({ pockets: [] }), <Finishes />);
  await userEvent.click(screen.getByRole("button", { name: "Add: slant" }));
  await pick(section("Pockets").getByRole("combobox", { name: "Opening is" }), "curved");
  expect(jobOnBench().finish?.pockets).toEqual([{ kind: "slant", edge: "curved" }]);
  await userEvent.click(section("Pockets").getByRole("button", { name: "Take out" }));
  expect(jobOnBench().finish?.pockets).toEqual([]);
});

test("a belt's loops are a count, a trim's fullness a ratio", async () => {
  onBench(withFinish({ belt: {}, trims: [{ kind: "pleated-strip" }] }), <Finishes />);
  const loops = section("Belt and trims").getByRole("spinbutton", { name: "Loops" });
  await userEvent.clear(loops);
  await userEvent.type(loops, "70{Enter}");
  expect(section("Belt and trims").getByText("Choose between 0 and 12 here.")).toBeTruthy();
  expect(jobOnBench().finish?.belt).toEqual({});
  await userEvent.type(loops, "{Backspace}{Enter}");
  expect(jobOnBench().finish?.belt).toEqual({ loops: 7 });
  expect(
    (section("Belt and trims").getByRole("spinbutton", { name: "Times the seam" }) as HTMLInputElement).value,
  ).toBe("2");
});
