/** @jest-environment jsdom */
import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MOVES } from "@/core/moves";
import type { Job } from "@/core/files";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { useOpenJob } from "@/ui/JobContext";
import { jobOnBench, onBench } from "@/ui/testing/Bench";
import { MoveFields } from "./MoveFields";

/** The rows of the last move of the job. */
function LastMove() {
  const { shape } = useOpenJob();
  const line = shape?.worksheet.findLast((l) => l.index !== null);
  return line ? <MoveFields line={line} index={line.index ?? 0} /> : null;
}

function ShapeLine() {
  const { shape } = useOpenJob();
  const [line] = shape?.worksheet ?? [];
  return line ? <MoveFields line={line} index={0} /> : null;
}

const withMove = (move: string, params: Record<string, unknown> = {}): Job =>
  palazzoJob(HAND_BODY, {
    style: { id: "straight", params: {} },
    moves: [
      { id: "a", move: "shape-leg", on: true, params: {} },
      { id: "b", move, on: true, params },
    ],
  });

test.each(Object.keys(MOVES))("%s has a row for each parameter that is not set on the table", (move) => {
  onBench(withMove(move), <LastMove />);
  for (const param of Object.values(MOVES[move]?.params ?? {}))
    if (param.as !== "table") expect(screen.getAllByLabelText(new RegExp(`^${param.label}`)).length).toBeGreaterThan(0);
});

test("a number is shown with its sum, typed over and put back", async () => {
  onBench(withMove("drop-crotch"), <LastMove />);
  const by = screen.getAllByRole("textbox")[0] as HTMLInputElement;
  await userEvent.clear(by);
  await userEvent.type(by, "3{Enter}");
  expect(jobOnBench().moves?.[1]?.params).toEqual({ by: "3 cm" });
  await userEvent.clear(by);
  await userEvent.type(by, "{Enter}");
  expect(jobOnBench().moves?.[1]?.params).toEqual({});
});

test("a width on the way is added at its level, set, and taken out again", async () => {
  onBench(withMove("drop-crotch"), <ShapeLine />);
  await userEvent.click(screen.getByRole("button", { name: "Add a width" }));
  expect(jobOnBench().moves?.[0]?.params.levels).toEqual([{ at: "thigh", girth: "480 mm" }]);
  await userEvent.click(screen.getByRole("combobox", { name: "Width 1, level" }));
  await userEvent.click(screen.getByRole("option", { name: "at the calf" }));
  const girth = screen.getByRole("textbox", { name: "Width 1, round one leg" });
  await userEvent.clear(girth);
  await userEvent.type(girth, "41{Enter}");
  expect(jobOnBench().moves?.[0]?.params.levels).toEqual([{ at: "calf", girth: "41 cm" }]);
  await userEvent.click(screen.getByRole("button", { name: "Take this width out" }));
  expect(jobOnBench().moves?.[0]?.params).toEqual({});
});
