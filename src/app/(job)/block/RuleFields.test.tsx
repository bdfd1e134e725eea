/** @jest-environment jsdom */
import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { jobOnBench, onBench } from "@/ui/testing/Bench";
import { RuleFields } from "./RuleFields";

const section = (name: string) => within(screen.getByRole("region", { name: `Rules: ${name}` }));

async function pick(list: HTMLElement, option: string): Promise<void> {
  await userEvent.click(list);
  await userEvent.click(screen.getByRole("option", { name: option }));
}

const plain = () => palazzoJob(HAND_BODY, { style: { id: "straight", params: {} } });

test("rules stand in the order of the draft; what the construction does not use is not shown", async () => {
  onBench(plain(), <RuleFields />);
  const titles = screen.getAllByRole("region", { name: /^Rules: / }).map((r) => r.getAttribute("aria-label"));
  expect(titles).toEqual(["Levels", "Width", "Crotch", "Back", "Waist", "Leg"].map((t) => `Rules: ${t}`));
  expect(section("Waist").getByRole("textbox", { name: "Front dart" })).toBeTruthy();
  await pick(section("Waist").getByRole("combobox", { name: "Waist is shaped by" }), "nothing: as wide as the hip");
  expect(jobOnBench().block.rules).toEqual({ waist: { shaping: "hipWide" } });
  expect(section("Waist").queryByRole("textbox", { name: "Front dart" })).toBeNull();
});

test("a changed rule says what the school has, and goes back by one press", async () => {
  onBench(plain(), <RuleFields />);
  const dart = section("Waist").getByRole("textbox", { name: "Front dart" });
  await userEvent.clear(dart);
  await userEvent.type(dart, "3{Enter}");
  expect(jobOnBench().block.rules).toEqual({ waist: { frontIntake: "3 cm" } });
  expect(section("Waist").getByText(/the school’s: by the surplus/)).toBeTruthy();
  await userEvent.click(section("Waist").getByRole("button", { name: "Put back" }));
  expect(jobOnBench().block.rules).toEqual({});
});

test("a rule kept as one word becomes a group when a number joins it", async () => {
  onBench(
    { ...plain(), block: { school: "proportional", rules: { hang: "side" } } } as ReturnType<typeof plain>,
    <RuleFields />,
  );
  const by = section("Leg").getByRole("textbox", { name: "Set off, or in" });
  await userEvent.clear(by);
  await userEvent.type(by, "-1{Enter}");
  expect(jobOnBench().block.rules).toEqual({ hang: { from: "side", by: "-1 cm" } });
});

test("a yes or no is a box to tick", async () => {
  onBench(plain(), <RuleFields />);
  await userEvent.click(section("Waist").getByRole("checkbox", { name: "Drop after the back is made" }));
  expect(jobOnBench().block.rules).toEqual({ dropAfterBack: true });
});
