/** @jest-environment jsdom */
import { act, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useTyping } from "@/store/typing";
import { LengthField } from "./LengthField";

function field(props: Partial<Parameters<typeof LengthField>[0]> = {}) {
  const onCommit = jest.fn<void, [string]>();
  render(<LengthField label="Waist" text="76.2" unit="cm" tape="cm" onCommit={onCommit} {...props} />);
  return { onCommit, input: screen.getByRole("textbox", { name: "Waist" }) as HTMLInputElement };
}

async function typed(input: HTMLInputElement, text: string): Promise<void> {
  await userEvent.clear(input);
  if (text !== "") await userEvent.type(input, text);
}

test("Enter and leaving it commit what was typed, once", async () => {
  const { onCommit, input } = field();
  await typed(input, "80{Enter}");
  await userEvent.tab();
  expect(onCommit.mock.calls).toEqual([["80"]]);
});

test("Esc takes the typing back", async () => {
  const { onCommit, input } = field();
  await typed(input, "80{Escape}");
  expect(input.value).toBe("76.2");
  await userEvent.tab();
  expect(onCommit).not.toHaveBeenCalled();
});

test.each([
  ["wide", /length/i],
  ["-3", "Write a length of nothing or more."],
  ["", "Write a length here."],
])("%p stays in the field with a sentence, and changes nothing", async (text, sentence) => {
  const { onCommit, input } = field();
  await typed(input, text);
  await userEvent.tab();
  expect(onCommit).not.toHaveBeenCalled();
  expect(input.value).toBe(text);
  expect(screen.getByText(sentence)).toBeTruthy();
});

test("emptied where that is allowed it commits nothing at all", async () => {
  const { onCommit, input } = field({ allowEmpty: true });
  await typed(input, "");
  await userEvent.tab();
  expect(onCommit.mock.calls).toEqual([[""]]);
});

test.each([
  ["cm", "76.2", "{ArrowUp}", "76.3 cm"],
  ["cm", "76.2", "{Shift>}{ArrowDown}{/Shift}", "75.2 cm"],
  ["in", "30", "{ArrowUp}", "30 1/8 in"],
  ["in", "30", "{Shift>}{ArrowDown}{/Shift}", "29 in"],
] as const)("on a tape in %s, %s and %s is %s", async (tape, text, keys, next) => {
  const { onCommit, input } = field({ tape, unit: tape, text });
  act(() => input.focus());
  await userEvent.keyboard(keys);
  expect(onCommit.mock.calls).toEqual([[next]]);
});

test("what is typed and not entered counts as unsaved", async () => {
  const { input } = field();
  const counted = () => useTyping.getState().fields;
  const before = counted();
  await typed(input, "80");
  expect(counted()).toBe(before + 1);
  await userEvent.keyboard("{Escape}");
  expect(counted()).toBe(before);
});
