/** @jest-environment jsdom */
import "@/ui/testing/browser";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { handOverSchema, type HandOver } from "@/core/derive/handOver";
import { PaperFields } from "./PaperFields";
import type { Kind } from "./kinds";

let now: HandOver;

interface Props {
  readonly kind: Kind;
  readonly from: HandOver;
  readonly tape: "in" | "cm";
  readonly onHow: (how: HandOver) => void;
}

function Fields({ kind, from, tape, onHow }: Props) {
  const [how, setHow] = useState(from);
  return (
    <PaperFields
      kind={kind}
      how={how}
      tape={tape}
      unit={tape}
      onChange={(more) => {
        const next = { ...how, ...more };
        onHow(next);
        setHow(next);
      }}
    />
  );
}

const shown = (kind: Kind, words: Record<string, string> = {}, tape: "in" | "cm" = "cm"): void => {
  render(<Fields kind={kind} from={handOverSchema.parse(words)} tape={tape} onHow={(how) => (now = how)} />);
};

async function choose(list: string, option: string | RegExp): Promise<void> {
  await userEvent.click(screen.getByRole("combobox", { name: list }));
  await userEvent.click(screen.getByRole("option", { name: option }));
}

test("every paper can be chosen, and a roll asks how wide it is, usual for the tape", async () => {
  shown("paper");
  for (const [label, size] of [
    ["A3", "a3"],
    ["Legal", "legal"],
    ["A0", "a0"],
  ] as const) {
    await choose("Paper", label);
    expect(now.paper).toEqual({ on: "sheets", size });
  }
  expect(screen.queryByLabelText("Width of the roll")).toBeNull();
  await choose("Paper", "Roll");
  expect(now.paper).toEqual({ on: "roll", width: 900 });
  const width = screen.getByLabelText("Width of the roll");
  await userEvent.clear(width);
  await userEvent.type(width, "10 cm{Enter}");
  // No narrower than rolls are made.
  expect(now.paper).toEqual({ on: "roll", width: 300 });
});

test("a roll in inches is 36 wide", async () => {
  shown("paper", {}, "in");
  await choose("Paper", "Roll");
  expect(now.paper).toEqual({ on: "roll", width: 914.4 });
});

test("sheets say how they are joined and ordered; a roll has no pages of its own for a piece", async () => {
  shown("paper");
  await choose("Pages", /trimmed/);
  await choose("Order of pages", /column/);
  await choose("Arranged", /own pages/);
  expect(now).toMatchObject({ join: "trim", order: "columns", arrange: "apart" });
  await choose("Arranged", /nested/);
  await choose("Paper", "Roll");
  expect(screen.queryByRole("combobox", { name: "Pages" })).toBeNull();
  await userEvent.click(screen.getByRole("combobox", { name: "Arranged" }));
  expect(screen.queryByRole("option", { name: /own pages/ })).toBeNull();
});

test("lines and what lies inside are chosen; a projector has light lines on black", async () => {
  shown("projector", { paper: "projector" });
  await choose("Lines", /seam line only/);
  await userEvent.click(screen.getByRole("checkbox", { name: /Darts/ }));
  await userEvent.click(screen.getByRole("checkbox", { name: "Light lines on black" }));
  expect(now).toMatchObject({ outlines: "seam", inner: false, inverted: true });
  expect(screen.queryByRole("combobox", { name: "Paper" })).toBeNull();
});
